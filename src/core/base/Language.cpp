// SPDX-License-Identifier: GPL-3.0-or-later
#include "core/base/Language.h"
#include <QCoreApplication>
#include <QLocale>
#include <QRegularExpression>

namespace mivanta {

namespace {

QChar foreign(QChar letter) {
    static const QString plain = QStringLiteral("aceinosuyzACEINOSUYZ");
    static const QString other = QStringLiteral("áçéíñóšúýžÁÇÉÍÑÓŠÚÝŽ");
    const qsizetype at = plain.indexOf(letter);
    return at < 0 ? letter : other[at];
}

/// Places that are filled in, signs of HTML and patterns of file names.
const QRegularExpression& machineWords() {
    static const QRegularExpression words(
        QStringLiteral("%L?\\d+|%n|<[^>]*>|&[a-z]+;|\\([^)]*\\*\\.[^)]*\\)|\\{[^}]*\\}|https?:\\S+"));
    return words;
}

QString inPseudo(const QString& text) {
    QString result;
    qsizetype from = 0;
    const auto add = [&](qsizetype to) {
        for (; from < to; ++from)
            result += foreign(text[from]);
    };
    for (auto at = machineWords().globalMatch(text); at.hasNext();) {
        const auto match = at.next();
        add(match.capturedStart());
        result += match.captured();
        from = match.capturedEnd();
    }
    add(text.size());
    constexpr qsizetype kShort = 3;
    return text.size() <= kShort ? result : u'[' + result + u']';
}

} // namespace

QString PseudoLanguage::translate(const char* context, const char* text, const char* disambiguation,
                                  int n) const {
    const QLatin1String what(disambiguation ? disambiguation : "");
    const QString english = m_english.translate(context, text, disambiguation, n);
    const QString said = english.isEmpty() ? QString::fromUtf8(text) : english;
    const bool isForMachines =
        what == QLatin1String("date format") || said == QLatin1String("QT_LAYOUT_DIRECTION");
    return isForMachines ? said : inPseudo(said);
}

QString wantedLanguage() {
    return qEnvironmentVariable("MIVANTA_LANGUAGE", QLocale().uiLanguages().value(0));
}

void speak(const QString& language) {
    QCoreApplication* application = QCoreApplication::instance();
    const QString folder = QStringLiteral(":/mivanta/languages");
    auto* english = new QTranslator(application);
    if (english->load(QStringLiteral("mivanta_en"), folder))
        QCoreApplication::installTranslator(english);
    else
        qWarning("the plural forms of English are missing");
    if (language == QLatin1String("pseudo")) {
        QCoreApplication::installTranslator(new PseudoLanguage(*english, application));
        return;
    }
    if (QLocale(language).language() == QLocale::English)
        return;
    auto* wanted = new QTranslator(application);
    if (wanted->load(QLocale(language), QStringLiteral("mivanta"), QStringLiteral("_"), folder))
        QCoreApplication::installTranslator(wanted);
    else
        delete wanted;
}

} // namespace mivanta
