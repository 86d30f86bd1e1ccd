// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/library/Speller.h"
#include <QDir>
#include <QFile>
#include <QLocale>
#include <QStandardPaths>
#include <QStringDecoder>
#include <QStringEncoder>
#include <hunspell/hunspell.hxx>

namespace mivanta {

namespace {

using Dictionary = std::shared_ptr<std::unique_ptr<Hunspell>>;

/// Dictionaries have encodings of their own.
std::string encoded(Hunspell& dictionary, const QString& word) {
    const std::string name = dictionary.get_dict_encoding();
    if (name == "UTF-8")
        return word.toStdString();
    QStringEncoder encoder(name.c_str());
    return encoder.isValid() ? QByteArray(encoder(word)).toStdString() : word.toStdString();
}

QString decoded(Hunspell& dictionary, const std::string& word) {
    const std::string name = dictionary.get_dict_encoding();
    QStringDecoder decoder(name.c_str());
    const auto bytes = QByteArray::fromStdString(word);
    return name == "UTF-8" || !decoder.isValid() ? QString::fromUtf8(bytes) : QString(decoder(bytes));
}

} // namespace

Speller::Speller(QString ownWords, QObject* parent)
    : QObject(parent),
      m_ownFile(std::move(ownWords)),
      m_dictionary(std::make_shared<std::unique_ptr<Hunspell>>()) {
    m_worker.run(
        this,
        [path = m_ownFile]() -> QStringList {
            QFile file(path);
            return file.open(QIODevice::ReadOnly)
                       ? QString::fromUtf8(file.readAll()).split(u'\n', Qt::SkipEmptyParts)
                       : QStringList();
        },
        [this](const QStringList& words) {
            for (const QString& word : words)
                m_own.insert(word.trimmed().toLower());
            Q_EMIT checked();
        });
}

Speller::~Speller() {
    m_worker.finish();
}

QString Speller::dictionaryFor(const QString& tag) {
    const QString wanted = QString(tag).replace(u'-', u'_');
    const QString language = wanted.section(u'_', 0, 0);
    QStringList found;
    for (const QString& folder :
         QStandardPaths::locateAll(QStandardPaths::GenericDataLocation, QStringLiteral("hunspell"),
                                   QStandardPaths::LocateDirectory))
        for (const QString& file :
             QDir(folder).entryList({language + QStringLiteral("*.dic")}, QDir::Files, QDir::Name)) {
            const QString name = file.chopped(4);
            if (name == language || name.startsWith(language + u'_'))
                found << folder + u'/' + name;
        }
    for (const QString& name : {wanted, language, QLocale::system().name()})
        for (const QString& path : found)
            if (path.endsWith(u'/' + name))
                return path;
    return found.value(0);
}

void Speller::setLanguage(const QString& tag) {
    QString language = tag.trimmed().isEmpty() ? QLocale::system().name() : tag.trimmed();
    if (language == QLatin1String("C"))
        language = QStringLiteral("en");
    if (language == m_language)
        return;
    m_language = language;
    m_wrong.clear();
    m_waiting.clear();
    m_hasDictionary = false;
    m_worker.run(
        this,
        [dictionary = m_dictionary, language]() -> bool {
            const QByteArray path = QFile::encodeName(dictionaryFor(language));
            dictionary->reset(path.isEmpty() ? nullptr : new Hunspell(path + ".aff", path + ".dic"));
            return *dictionary != nullptr;
        },
        [this, language](bool there) {
            if (language != m_language)
                return;
            m_hasDictionary = there;
            Q_EMIT languageChanged();
            Q_EMIT checked();
        });
}

bool Speller::isWrong(const QString& word) {
    if (!m_hasDictionary || m_own.contains(word.toLower()))
        return false;
    const auto known = m_wrong.constFind(word);
    if (known != m_wrong.constEnd())
        return *known;
    m_wrong.insert(word, false);
    m_waiting << word;
    lookUpSoon();
    return false;
}

void Speller::lookUpSoon() {
    if (std::exchange(m_asked, true))
        return;
    QMetaObject::invokeMethod(
        this,
        [this] {
            m_asked = false;
            const QStringList words = std::exchange(m_waiting, {});
            m_worker.run(
                this,
                [dictionary = m_dictionary, words]() -> QStringList {
                    QStringList wrong;
                    for (const QString& word : words)
                        if (*dictionary && !(*dictionary)->spell(encoded(**dictionary, word)))
                            wrong << word;
                    return wrong;
                },
                [this](const QStringList& wrong) {
                    for (const QString& word : wrong)
                        m_wrong[word] = true;
                    if (!wrong.isEmpty())
                        Q_EMIT checked();
                });
        },
        Qt::QueuedConnection);
}

void Speller::suggest(const QString& word, const std::function<void(QStringList)>& found) {
    m_worker.run(
        this,
        [dictionary = m_dictionary, word]() -> QStringList {
            constexpr qsizetype kMost = 6;
            QStringList words;
            if (*dictionary)
                for (const std::string& one : (*dictionary)->suggest(encoded(**dictionary, word)))
                    if (words.size() < kMost)
                        words << decoded(**dictionary, one);
            return words;
        },
        found);
}

void Speller::add(const QString& word) {
    m_own.insert(word.toLower());
    m_worker.run([path = m_ownFile, word] {
        QFile file(path);
        if (file.open(QIODevice::Append))
            file.write(word.toUtf8() + '\n');
    });
    Q_EMIT checked();
}

} // namespace mivanta
