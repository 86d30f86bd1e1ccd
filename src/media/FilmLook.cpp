// SPDX-License-Identifier: GPL-3.0-or-later
#include "media/FilmLook.h"
#include "core/base/Said.h"
#include "link/FilmClient.h"
#include <QEventLoop>
#include <QThread>
#include <QTimer>
#include <optional>

namespace mivanta {

namespace {

constexpr int kLookPatienceMs = 10'000;

/// Lets events happen until the condition holds, the film cannot be played, or the time is over.
template <typename Condition>
bool waitFor(FilmClient& film, const Condition& condition) {
    QEventLoop loop;
    QTimer::singleShot(kLookPatienceMs, &loop, &QEventLoop::quit);
    const auto look = [&] {
        if (condition() || !film.stands().problem.isEmpty())
            loop.quit();
    };
    QObject::connect(&film, &FilmClient::told, &loop, look);
    QObject::connect(&film, &FilmClient::pictureCame, &loop, look);
    if (!condition() && film.stands().problem.isEmpty())
        loop.exec();
    return condition();
}

message::OpenFilm silently(const QString& path, QSize shown) {
    message::OpenFilm order;
    order.film.fit = PictureFit::Fill;
    order.path = path;
    order.shown = shown;
    order.film.isOnce = true;
    return order;
}

tl::unexpected<Error> noFilm(const FilmClient& film, const QString& path) {
    const QString& problem = film.stands().problem;
    const QString why = problem.isEmpty() ? Said::tr("it could not be read in time") : problem;
    return failure(Said::tr("this cannot be played as a film: %1").arg(why), path,
                   Said::tr("Choose another file, or have it saved as MP4."));
}

Result<FilmFacts> look(const QString& path) {
    FilmClient film(silently(path, {64, 64}));
    if (!waitFor(film, [&] { return !film.stands().size.isEmpty() && film.picture().number > 0; }))
        return noFilm(film, path);
    return FilmFacts{film.stands().to, film.stands().size, film.stands().hasSound};
}

/// By a process that begins there: its first picture is the right one, while one that seeks may show others
/// before.
Result<QImage> takePicture(const QString& path, double seconds, QSize size) {
    message::OpenFilm order = silently(path, size);
    order.film.from = seconds;
    FilmClient film(order);
    if (!waitFor(film, [&] { return film.picture().number > 0; }))
        return noFilm(film, path);
    return film.picture().image.copy();
}

/// A thread that works off jobs must not begin others while this one waits for events.
template <typename Work>
auto onAThreadOfItsOwn(Work work) {
    std::optional<std::invoke_result_t<Work>> made;
    const std::unique_ptr<QThread> thread(QThread::create([&] { made.emplace(work()); }));
    thread->start();
    thread->wait();
    return std::move(*made);
}

} // namespace

Result<FilmFacts> lookAtFilm(const QString& path) {
    return onAThreadOfItsOwn([&] { return look(path); });
}

Result<QImage> pictureOfFilm(const QString& path, double seconds, QSize size) {
    return onAThreadOfItsOwn([&] { return takePicture(path, seconds, size); });
}

} // namespace mivanta
