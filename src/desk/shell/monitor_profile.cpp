// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/shell/monitor_profile.h"

#include <QGuiApplication>
#include <QScreen>

#include <cstdlib>
#include <memory>
#include <xcb/xcb.h>

namespace zelo::desk {

namespace {

constexpr std::uint32_t kMostWords = 4'000'000; // of four bytes

template <class T>
struct Free {
    void operator()(T* reply) const { std::free(reply); }
};
template <class T>
using Reply = std::unique_ptr<T, Free<T>>;

} // namespace

QByteArray iccOf(const QScreen& screen) {
    const auto* x11 = qGuiApp->nativeInterface<QNativeInterface::QX11Application>();
    if (!x11 || !x11->connection())
        return {};
    auto* connection = x11->connection();
    // The first monitor's has no number, the others count from 1.
    const auto at = QGuiApplication::screens().indexOf(const_cast<QScreen*>(&screen));
    QByteArray name = "_ICC_PROFILE";
    if (at > 0)
        name += '_' + QByteArray::number(at);
    const Reply<xcb_intern_atom_reply_t> atom(xcb_intern_atom_reply(
        connection,
        xcb_intern_atom(connection, 1, static_cast<std::uint16_t>(name.size()), name.constData()),
        nullptr));
    const auto root = xcb_setup_roots_iterator(xcb_get_setup(connection));
    if (!atom || atom->atom == XCB_ATOM_NONE || !root.data)
        return {};
    const Reply<xcb_get_property_reply_t> property(
        xcb_get_property_reply(connection,
                               xcb_get_property(connection, 0, root.data->root, atom->atom,
                                                XCB_GET_PROPERTY_TYPE_ANY, 0, kMostWords),
                               nullptr));
    if (!property || property->format != 8)
        return {};
    return {static_cast<const char*>(xcb_get_property_value(property.get())),
            xcb_get_property_value_length(property.get())};
}

} // namespace zelo::desk
