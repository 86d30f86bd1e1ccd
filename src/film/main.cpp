// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/base/Language.h"
#include "film/FilmDecoder.h"
#include "film/LiveDecoder.h"
#include "link/Channel.h"
#include <QCoreApplication>
#include <QStringList>
#include <sys/resource.h>
#include <unistd.h>

using namespace mivanta;

namespace {

constexpr rlim_t kMostMemory =
    rlim_t(6) * 1024 * 1024 * 1024; // bytes of address space, threads' stacks included

constexpr int kNice = 5;

/// Whatever a film needs, the words, the keys and the desks come first: what is late is a picture of the
/// film.
void giveWay() {
    ::setpriority(PRIO_PROCESS, 0, kNice);
}

void limitMemory() {
    const rlimit most{kMostMemory, kMostMemory};
    ::setrlimit(RLIMIT_AS, &most);
    const rlimit none{0, 0};
    ::setrlimit(RLIMIT_CORE, &none);
}

} // namespace

/// mivanta-film SOCKET BOARD BELL: plays one film, or shows one live input, for the program that started it,
/// which gives these descriptors.
int main(int argc, char** argv) {
    QCoreApplication application(argc, argv);
    const QStringList arguments = QCoreApplication::arguments();
    if (arguments.size() != 4)
        return 2;
    limitMemory();
    giveWay();
    speak();
    useNumbersOfMpv();
    const int bell = arguments[3].toInt();
    auto board = FilmBoard::open(arguments[2].toInt());
    auto* socket = new QLocalSocket;
    if (!board || !socket->setSocketDescriptor(arguments[1].toInt()))
        return 2;
    Channel channel(socket);
    QObject::connect(&channel, &Channel::closed, &application, &QCoreApplication::quit);
    const auto ring = [bell] {
        const quint64 once = 1;
        [[maybe_unused]] const auto written = ::write(bell, &once, sizeof once);
    };
    const auto begin = [&](auto* decoder, const message::OpenFilm& order) {
        decoder->setParent(&application);
        using Decoder = std::remove_pointer_t<decltype(decoder)>;
        QObject::connect(decoder, &Decoder::told, &channel,
                         [&](const message::FilmStands& stands) { channel.send(stands); });
        QObject::connect(&channel, &Channel::received, decoder, [decoder](const Message& message) {
            if (const auto* steered = std::get_if<message::SteerFilm>(&message))
                decoder->steer(*steered);
        });
        decoder->open(order);
    };
    QObject::connect(&channel, &Channel::received, &application, [&](const Message& message) {
        const auto* film = std::get_if<message::OpenFilm>(&message);
        if (!film || !*board) // it is one film's
            return;
        if (film->live)
            begin(new LiveDecoder(std::move(*board), ring), *film);
        else
            begin(new FilmDecoder(std::move(*board), ring), *film);
    });
    return QCoreApplication::exec();
}
