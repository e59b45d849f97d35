// SPDX-License-Identifier: GPL-3.0-or-later
// Programs that are started from here do not inherit sockets: they would hold ports open.
#pragma once

#include <fcntl.h>

namespace zelo::wire {

template <class Socket>
void closeOnExec(Socket& socket) {
    ::fcntl(socket.native_handle(), F_SETFD, FD_CLOEXEC);
}

} // namespace zelo::wire
