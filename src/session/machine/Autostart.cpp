// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/machine/Autostart.h"
#include "core/base/Said.h"
#include "store/SafeFiles.h"
#include <QDir>
#include <QFile>
#include <QStandardPaths>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

/// Desktop Entry Specification, "The Exec key": quoted, reserved characters behind a backslash, and a
/// backslash of the string type before that; a percent sign twice.
QString quoted(QString argument) {
    argument.replace(u'\\', u"\\\\\\\\"_s);
    for (const QChar c : {u'"', u'`', u'$'})
        argument.replace(c, u"\\\\"_s + c);
    argument.replace(u'%', u"%%"_s);
    return u'"' + argument + u'"';
}

} // namespace

Autostart::Autostart(QString program, QStringList arguments, const QString& folder)
    : m_program(std::move(program)),
      m_arguments(std::move(arguments)),
      m_path((folder.isEmpty()
                  ? QStandardPaths::writableLocation(QStandardPaths::GenericConfigLocation) + u"/autostart"_s
                  : folder) +
             u"/mivanta.desktop"_s) {}

bool Autostart::isOn() const {
    return QFile::exists(m_path);
}

QString Autostart::execLine() const {
    QStringList words{quoted(m_program)};
    for (const QString& argument : m_arguments)
        words << quoted(argument);
    return words.join(u' ');
}

Result<void> Autostart::set(bool on) const {
    if (!on) {
        if (QFile::exists(m_path) && !QFile::remove(m_path))
            return failure(Said::tr("it still starts with this computer: the file cannot be removed"), m_path,
                           Said::tr("Remove the file by hand."));
        return {};
    }
    QDir().mkpath(QFileInfo(m_path).path());
    QStringList lines{u"[Desktop Entry]"_s, u"Type=Application"_s, u"Name=Mivanta"_s,
                      u"Terminal=false"_s}; // for machines
    lines << u"Exec="_s + execLine() << QString();
    const QString entry = lines.join(u'\n');
    return writeSafely(m_path, entry.toUtf8());
}

} // namespace mivanta
