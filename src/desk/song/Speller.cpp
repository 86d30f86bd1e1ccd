// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/song/Speller.h"
#include <QDir>
#include <QFile>
#include <QLocale>
#include <QMap>
#include <QStandardPaths>
#include <QStringDecoder>
#include <QStringEncoder>
#include <hunspell/hunspell.hxx>

namespace mivanta {

namespace {

/// Dictionaries have encodings of their own.
std::string encoded(Hunspell& dictionary, const QString& word) {
    const std::string& name = dictionary.get_dict_encoding();
    if (name == "UTF-8")
        return word.toStdString();
    QStringEncoder encoder(name.c_str());
    return encoder.isValid() ? QByteArray(encoder(word)).toStdString() : word.toStdString();
}

QString decoded(Hunspell& dictionary, const std::string& word) {
    const std::string& name = dictionary.get_dict_encoding();
    QStringDecoder decoder(name.c_str());
    const auto bytes = QByteArray::fromStdString(word);
    return name == "UTF-8" || !decoder.isValid() ? QString::fromUtf8(bytes) : QString(decoder(bytes));
}

/// Hunspell takes files that are cut off or no dictionary at all, and then finds every word wrong. A real
/// one begins with the number of its words and is not alone.
bool isUsable(const QString& path) {
    QFile words(path + QStringLiteral(".dic"));
    if (!words.open(QIODevice::ReadOnly) || !QFile::exists(path + QStringLiteral(".aff")))
        return false;
    QByteArray count = words.readLine().trimmed();
    if (count.startsWith("\xEF\xBB\xBF"))
        count.remove(0, 3);
    const qint64 size = words.size() - words.pos();
    const qint64 said = count.split(' ').value(0).toLongLong();
    return said > 0 && size >= said; // at least a letter and a line end a word, nearly
}

} // namespace

Speller::Speller(QString ownWords, QObject* parent)
    : QObject(parent),
      m_ownFile(std::move(ownWords)),
      m_dictionaries(std::make_shared<std::vector<std::unique_ptr<Hunspell>>>()) {
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

QStringList Speller::dictionariesFor(const QString& tag) {
    const QString wanted = QString(tag).replace(u'-', u'_');
    const QString language = wanted.section(u'_', 0, 0);
    QMap<QString, QString> found; // by name; a person's own folder goes before the system's
    for (const QString& folder :
         QStandardPaths::locateAll(QStandardPaths::GenericDataLocation, QStringLiteral("hunspell"),
                                   QStandardPaths::LocateDirectory))
        for (const QString& file :
             QDir(folder).entryList({language + QStringLiteral("*.dic")}, QDir::Files)) {
            const QString name = file.chopped(4);
            if ((name == language || name.startsWith(language + u'_')) && !found.contains(name) &&
                isUsable(folder + u'/' + name))
                found.insert(name, folder + u'/' + name);
        }
    return found.contains(wanted) ? QStringList{found.value(wanted)} : QStringList(found.values());
}

void Speller::setLanguage(const QString& tag) {
    QString language = tag.trimmed();
    if (language.isEmpty())
        language = QLocale::system().name().section(u'_', 0, 0);
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
        [dictionaries = m_dictionaries, language]() -> bool {
            dictionaries->clear();
            for (const QString& file : dictionariesFor(language)) {
                const QByteArray path = QFile::encodeName(file);
                dictionaries->push_back(std::make_unique<Hunspell>(path + ".aff", path + ".dic"));
            }
            return !dictionaries->empty();
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
                [dictionaries = m_dictionaries, words]() -> QStringList {
                    QStringList wrong;
                    for (const QString& word : words)
                        if (std::none_of(dictionaries->begin(), dictionaries->end(),
                                         [&](const auto& d) { return d->spell(encoded(*d, word)); }))
                            wrong << word;
                    return wrong;
                },
                [this, language = m_language](const QStringList& wrong) {
                    if (language != m_language)
                        return; // they were looked up in another language
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
        [dictionaries = m_dictionaries, word]() -> QStringList {
            constexpr qsizetype kMost = 8;
            QStringList words;
            for (const auto& dictionary : *dictionaries)
                for (const std::string& one : dictionary->suggest(encoded(*dictionary, word)))
                    if (const QString better = decoded(*dictionary, one); !words.contains(better))
                        words << better;
            return words.mid(0, kMost);
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

#include "moc_Speller.cpp"
