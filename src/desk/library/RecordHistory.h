// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Said.h"
#include "desk/library/VersionsPage.h"
#include "session/library/RecordEditing.h"

namespace mivanta {

/// What is particular to a kind of record when two of it stand side by side.
template <typename T>
struct Comparing {
    static VersionsPage::Texts texts();
    /// As rows of a comparison see it.
    static Song comparable(const T& record);
    /// What the record says of now beside a version: "Now: other title, words".
    static QString captionOf(const T& version, const T& now);
};
template <>
VersionsPage::Texts Comparing<Song>::texts();
template <>
Song Comparing<Song>::comparable(const Song& song);
template <>
QString Comparing<Song>::captionOf(const Song& version, const Song& now);
template <>
VersionsPage::Texts Comparing<SpokenText>::texts();
template <>
Song Comparing<SpokenText>::comparable(const SpokenText& text);
template <>
QString Comparing<SpokenText>::captionOf(const SpokenText& version, const SpokenText& now);
template <>
VersionsPage::Texts Comparing<ThemeRecord>::texts();
template <>
Song Comparing<ThemeRecord>::comparable(const ThemeRecord& record);
template <>
QString Comparing<ThemeRecord>::captionOf(const ThemeRecord& version, const ThemeRecord& now);

/// Earlier versions of the record that is edited, each side by side with it as it is now. Also for one that
/// was changed in two places at once.
template <typename T>
class RecordHistory : public VersionsPage {
public:
    using Kind = RecordKind<T>;
    RecordHistory(RecordEditing<T>& editing, RecordDraft<T>& draft, LibraryClient& library,
                  QWidget* parent = nullptr)
        : VersionsPage(Comparing<T>::texts(), parent),
          m_library(library) {
        connect(this, &VersionsPage::versionWanted, this, [this](int revision) { showVersion(revision); });
        connect(this, &VersionsPage::restoreWanted, this, [this, &editing] {
            if (const auto version = std::exchange(m_version, {})) {
                Q_EMIT left();
                editing.restore(*version);
            }
        });
        connect(this, &VersionsPage::keepWanted, this, [this, &editing] {
            Q_EMIT left();
            editing.keepMine();
        });
        connect(&editing, &EditingSignals::conflict, this, [this, &editing, &draft] {
            m_now = *draft.record();
            m_version = *editing.theirs();
            start(Said::tr("\u201c%1\u201d was changed elsewhere while you worked on it")
                      .arg(Kind::titleOf(m_now)));
            showConflict(Comparing<T>::comparable(*m_version), Comparing<T>::comparable(m_now),
                         Comparing<T>::captionOf(*m_version, m_now));
        });
    }

    /// `now`: as it stands in the editor.
    void setRecord(const T& now) {
        m_now = now;
        m_version.reset();
        start(Said::tr("\u201c%1\u201d as it was before").arg(Kind::titleOf(now)));
        m_library.ask<std::vector<RecordVersion>>(
            this, [id = Kind::idOf(now)](Library& library) { return Kind::versions(library, id); },
            [this, id = Kind::idOf(now)](const Result<std::vector<RecordVersion>>& versions) {
                if (id == Kind::idOf(m_now))
                    setVersions(versions, Kind::titleOf(m_now));
            });
    }

private:
    void showVersion(int revision) {
        m_version.reset();
        m_library.ask<T>(
            this,
            [id = Kind::idOf(m_now), revision](Library& library) {
                return Kind::version(library, id, revision);
            },
            [this, revision](const Result<T>& version) {
                if (current() != revision)
                    return; // another one was chosen meanwhile
                if (!version) {
                    setHeading(version.error().text());
                    return;
                }
                m_version = *version;
                showTwo(Comparing<T>::comparable(*version), currentText(), Comparing<T>::comparable(m_now),
                        Comparing<T>::captionOf(*version, m_now), !Kind::isSame(*version, m_now));
            });
    }

    LibraryClient& m_library;
    T m_now;
    std::optional<T> m_version; ///< the one that is shown
};

} // namespace mivanta
