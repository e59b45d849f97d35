// SPDX-License-Identifier: GPL-3.0-or-later
#include "wire/net/lines.h"

#include "wire/net/close_on_exec.h"

#include <asio.hpp>
#include <thread>

namespace zelo::wire {

using asio::ip::tcp;

namespace {

constexpr std::size_t kLongestLine = 1024;
constexpr std::size_t kMostAnswer = 4u << 20;

tcp::endpoint here(std::uint16_t port) {
    return {asio::ip::address_v4::loopback(), port};
}

// One caller: lines in, answers out, until it hangs up or sends a line that is too long.
class Caller : public std::enable_shared_from_this<Caller> {
public:
    Caller(tcp::socket socket, const std::function<std::string(const std::string&)>& answer)
        : socket_(std::move(socket)), answer_(answer) {}

    void read() {
        asio::async_read_until(socket_, asio::dynamic_buffer(in_, kLongestLine), '\n',
                               [self = shared_from_this()](asio::error_code error, std::size_t n) {
                                   if (error)
                                       return;
                                   std::string line = self->in_.substr(0, n - 1);
                                   self->in_.erase(0, n);
                                   if (!line.empty() && line.back() == '\r')
                                       line.pop_back();
                                   self->out_ = self->answer_(line);
                                   while (!self->out_.empty() && self->out_.back() == '\n')
                                       self->out_.pop_back();
                                   self->out_ += "\n\n";
                                   self->write();
                               });
    }

private:
    void write() {
        asio::async_write(socket_, asio::buffer(out_),
                          [self = shared_from_this()](asio::error_code error, std::size_t) {
                              if (!error)
                                  self->read();
                          });
    }
    tcp::socket socket_;
    const std::function<std::string(const std::string&)>& answer_;
    std::string in_, out_;
};

} // namespace

struct LineServer::Socket {
    asio::io_context context;
    tcp::acceptor acceptor{context};
    asio::steady_timer pause{context};
    std::thread thread;
};

LineServer::LineServer(std::function<std::string(const std::string&)> answer)
    : answer_(std::move(answer)), socket_(std::make_unique<Socket>()) {}

Result<std::unique_ptr<LineServer>>
LineServer::open(std::uint16_t port, std::function<std::string(const std::string&)> answer) {
    std::unique_ptr<LineServer> server(new LineServer(std::move(answer)));
    auto& s = *server->socket_;
    asio::error_code error;
    s.acceptor.open(tcp::v4(), error);
    if (!error) {
        closeOnExec(s.acceptor);
        s.acceptor.set_option(tcp::acceptor::reuse_address(true), error);
    }
    if (!error)
        s.acceptor.bind(here(port), error);
    if (!error)
        s.acceptor.listen(8, error);
    if (error)
        return fail(ErrorCode::Io, ZELO_TEXT("core", "127.0.0.1:{}: {}"), port, error.message());
    server->accept();
    s.thread = std::thread([&s] { s.context.run(); });
    return server;
}

LineServer::~LineServer() {
    socket_->context.stop();
    if (socket_->thread.joinable())
        socket_->thread.join();
}

std::uint16_t LineServer::port() const {
    asio::error_code error;
    return socket_->acceptor.local_endpoint(error).port();
}

void LineServer::accept() {
    socket_->acceptor.async_accept([this](asio::error_code error, tcp::socket caller) {
        if (error == asio::error::operation_aborted)
            return;
        if (!error) {
            closeOnExec(caller);
            std::make_shared<Caller>(std::move(caller), answer_)->read();
            return accept();
        }
        // No file descriptor is left: who waits there would be offered again at once, for ever.
        socket_->pause.expires_after(std::chrono::milliseconds(200));
        socket_->pause.async_wait([this](asio::error_code stopped) {
            if (!stopped)
                accept();
        });
    });
}

Result<std::string> askLine(std::uint16_t port, const std::string& line,
                            std::chrono::milliseconds within) {
    asio::io_context context;
    tcp::socket socket(context);
    std::string text;
    asio::error_code failed = asio::error::timed_out;
    bool full = false;
    const std::string out = line + "\n";
    socket.async_connect(here(port), [&](asio::error_code error) {
        failed = error ? error : asio::error_code(asio::error::timed_out);
        if (error)
            return;
        asio::async_write(socket, asio::buffer(out), [&](asio::error_code e, std::size_t) {
            if (e) {
                failed = e;
                return;
            }
            asio::async_read_until(socket, asio::dynamic_buffer(text, kMostAnswer), "\n\n",
                                   [&](asio::error_code r, std::size_t n) {
                                       full = r == asio::error::not_found;
                                       failed = r;
                                       if (!r)
                                           text.resize(n - 1);
                                   });
        });
    });
    context.run_for(within);
    if (full)
        return fail(ErrorCode::TooLarge,
                    ZELO_TEXT("core", "127.0.0.1:{}: an answer of more than {} bytes"), port,
                    kMostAnswer);
    if (failed)
        return fail(ErrorCode::Io, ZELO_TEXT("core", "127.0.0.1:{}: {}"), port, failed.message());
    return text;
}

} // namespace zelo::wire
