// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/work/Worker.h"
#include <QHash>
#include <QSet>
#include <QString>
#include <QStringList>
#include <functional>
#include <memory>
#include <vector>

class Hunspell;

namespace mivanta {

/// Knows which words are misspelt in a language, by the dictionaries of the system (Hunspell) and the words
/// that people of this library added. Lives on the GUI thread; dictionaries are read and asked on another.
class Speller : public QObject {
    Q_OBJECT
public:
    /// `ownWords`: the file of added words, one a line; made when the first is added.
    explicit Speller(QString ownWords, QObject* parent = nullptr);
    ~Speller() override;

    /// A BCP 47 tag; empty = the desktop's language. Without a dictionary nothing is misspelt; with several,
    /// as for a language of which no country is named, a word is right that any of them has.
    void setLanguage(const QString& tag);
    [[nodiscard]] const QString& language() const { return m_language; }
    [[nodiscard]] bool hasDictionary() const { return m_hasDictionary; }

    /// True when the word is known to be wrong. A word asked for the first time is looked up meanwhile;
    /// checked() follows.
    [[nodiscard]] bool isWrong(const QString& word);
    void suggest(const QString& word, const std::function<void(QStringList)>& found);
    /// From now on the word is right, in this library, in every language.
    void add(const QString& word);

    /// The dictionary files for a language, without their endings: that of its country, else all.
    [[nodiscard]] static QStringList dictionariesFor(const QString& tag);

Q_SIGNALS:
    void checked();         ///< more words are known
    void languageChanged(); ///< or its dictionary was read

private:
    void lookUpSoon();

    QString m_ownFile;
    QString m_language;
    bool m_hasDictionary = false;
    QHash<QString, bool> m_wrong;
    QSet<QString> m_own;
    QStringList m_waiting;
    bool m_asked = false;
    std::shared_ptr<std::vector<std::unique_ptr<Hunspell>>>
        m_dictionaries; ///< used on the worker's thread only
    Worker m_worker{QStringLiteral("spelling")};
};

} // namespace mivanta
