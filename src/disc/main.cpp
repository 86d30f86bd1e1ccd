// SPDX-License-Identifier: GPL-3.0-or-later
#include "disc/DiscReader.h"
#include <QCoreApplication>
#include <QStringList>
#include <csignal>
#include <cstdio>
#include <sys/prctl.h>
#include <sys/resource.h>

using namespace mivanta;

namespace {

constexpr rlim_t kMostMemory = rlim_t(512) * 1024 * 1024; // bytes

void limitItself() {
    const rlimit most{kMostMemory, kMostMemory};
    ::setrlimit(RLIMIT_AS, &most);
    const rlimit none{0, 0};
    ::setrlimit(RLIMIT_CORE, &none);
    ::prctl(PR_SET_PDEATHSIG, SIGKILL);
}

void say(FILE* file, const QByteArray& line) {
    std::fwrite(line.constData(), 1, size_t(line.size()), file);
    std::fputc('\n', file);
    std::fflush(file);
}

int fail(DiscProblem problem) {
    say(stderr, toJson(problem));
    return 1;
}

} // namespace

/// mivanta-disc titles PATH: the titles of a disc, as JSON.
/// mivanta-disc read PATH TITLE FROM TO: a part of one (seconds), as an MPEG program stream; the error
/// channel says line by line where in the title it is, from where it begins. What is wrong stands there, too,
/// as JSON.
int main(int argc, char** argv) {
    QCoreApplication application(argc, argv);
    const QStringList arguments = QCoreApplication::arguments();
    const QString what = arguments.value(1);
    const bool isRead = what == QStringLiteral("read") && arguments.size() == 6;
    if (!isRead && (what != QStringLiteral("titles") || arguments.size() != 3))
        return 2;
    limitItself();
    const auto reader = DiscReader::open(arguments[2]);
    if (!reader)
        return fail(reader.error());
    if (!isRead) {
        say(stdout, toJson((*reader)->disc()));
        return 0;
    }
    const auto done = (*reader)->read(arguments[3].toInt(), arguments[4].toDouble(), arguments[5].toDouble(),
                                      [](double at, const QByteArray& data) {
                                          say(stderr, QByteArray::number(at, 'f', 3));
                                          return std::fwrite(data.constData(), 1, size_t(data.size()),
                                                             stdout) == size_t(data.size());
                                      });
    std::fflush(stdout);
    return done ? 0 : fail(done.error());
}
