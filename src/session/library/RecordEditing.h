// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/library/DraftKeeper.h"
#include "session/library/LibraryClient.h"
#include "session/library/OneSave.h"
#include "session/library/RecordDraft.h"
#include "session/library/Unsaved.h"

namespace mivanta {

/// What editing a record tells, whatever it is of.
class EditingSignals : public QObject {
    Q_OBJECT
public:
    using QObject::QObject;

Q_SIGNALS:
    void problem(const mivanta::Error& error); ///< nothing was changed
    void notice(const QString& text);
    void untitled(); ///< behind problem(): it was not saved for that
    void notLoaded(const mivanta::Error& error);
    void stays();     ///< what is edited is another one than was wanted: something was typed meanwhile
    void stored();    ///< it is in the library now, as it was when saving was asked for
    void conflict();  ///< it was not saved: somebody else has meanwhile; see RecordEditing::theirs()
    void recovered(); ///< what was not saved last time is here again

protected:
    [[nodiscard]] static QString binnedText(const QString& title);
    [[nodiscard]] static QString recoveryText();
    [[nodiscard]] static QString versionText();
};

/// One record of the library being edited: loaded, kept on the disk while it is not saved, saved one save
/// after the other, taken up again with the next start, compared when somebody else has changed it, put into
/// the bin. The same for every kind (RecordKind). GUI thread.
template <typename T>
class RecordEditing : public EditingSignals {
public:
    using Kind = RecordKind<T>;
    using Id = typename Kind::Id;
    using Ask = std::function<Unsaved(const QString& title)>;
    /// `draft` outlives this. `unsaved`: where work is kept that is not saved. `ask`: what is to become of it
    /// when something else is wanted.
    RecordEditing(RecordDraft<T>& draft, LibraryClient& library, UnsavedFile unsaved, Ask ask,
                  QObject* parent = nullptr);

    /// Of the record that is edited, or on its way here.
    [[nodiscard]] const std::optional<Id>& id() const { return m_wanted; }
    void open(const Id& id);
    /// A new one. Filled: with something of a person's in it already, so that it is not given up unasked.
    enum class Begun { Empty, Filled };
    void begin(T fresh, Begun begun = Begun::Empty);
    /// None is edited any more; what was changed is given up.
    void close();
    /// A list has another one chosen, or none; `by`: the person, or the list by itself while it fills. What
    /// is being edited gives way once it is saved or given up, and to no list that fills. False when it stays
    /// although a person wanted another.
    enum class By { Person, List };
    bool choose(const std::optional<Id>& id, By by);

    /// Stores what was changed; `then` runs once it is in the library.
    void save(const std::function<void()>& then = {});
    /// Runs the rest once what was changed is saved or given up; not when it is to stay.
    enum class Settled { Now, Later, Stays };
    Settled settle(const std::function<void()>& then);

    /// What is not saved is on the disk when this returns.
    void keepNow() { m_keeper.keepNow(); }
    void putInBin();
    /// It becomes as it was then, as one step of undo.
    void restore(const T& version);
    /// At a conflict: what the library has.
    [[nodiscard]] const std::optional<T>& theirs() const { return m_theirs; }
    /// After a conflict: the draft takes the place of theirs, which stays among the versions.
    void keepMine();

private:
    void loadFor(const Id& id, const std::function<void(const Result<T>&)>& then);
    void send(const std::function<void()>& then);
    void answered(const Result<T>& stored, const std::function<void()>& then);
    void refused(const Error& error);
    void recover(const T& unsaved);
    void follow();

    RecordDraft<T>& m_draft;
    LibraryClient& m_library;
    Ask m_ask;
    DraftKeeper m_keeper;
    OneSave m_saves;
    std::optional<Id> m_wanted;
    std::optional<T> m_theirs;
};

template <typename T>
RecordEditing<T>::RecordEditing(RecordDraft<T>& draft, LibraryClient& library, UnsavedFile unsaved, Ask ask,
                                QObject* parent)
    : EditingSignals(parent),
      m_draft(draft),
      m_library(library),
      m_ask(std::move(ask)),
      m_keeper(std::move(unsaved), [this]() -> DraftKeeper::Writer {
          if (!m_draft.isChanged())
              return {};
          return [record = *m_draft.record()] { return Kind::toJson(record); };
      }) {
    for (const auto signal : {&DraftSignals::loaded, &DraftSignals::changed, &DraftSignals::stateChanged})
        connect(&m_draft, signal, &m_keeper, &DraftKeeper::touch);
    connect(&m_keeper, &DraftKeeper::found, this, [this](const QJsonObject& json, const QString& where) {
        const auto record = Kind::fromJson(json, where);
        record ? recover(*record) : m_keeper.refuse(record.error());
    });
    connect(&m_keeper, &DraftKeeper::failed, this, &EditingSignals::problem);
    connect(&m_library, &LibraryClient::opened, &m_keeper, &DraftKeeper::recover);
    connect(&m_library, &LibraryClient::changed, this, [this](LibraryParts parts) {
        if (parts & Kind::part)
            follow();
    });
}

template <typename T>
void RecordEditing<T>::loadFor(const Id& id, const std::function<void(const Result<T>&)>& then) {
    m_library.ask<T>(
        this, [id](Library& library) { return Kind::load(library, id); },
        [then](const Result<T>& record) { then(record); });
}

template <typename T>
void RecordEditing<T>::open(const Id& id) {
    m_wanted = id;
    loadFor(id, [this, id](const Result<T>& record) {
        if (m_wanted != id)
            return;                // another one was chosen meanwhile
        if (m_draft.isChanged()) { // typed while it was on its way
            m_wanted = Kind::idOf(*m_draft.record());
            Q_EMIT stays();
            return;
        }
        if (record) {
            m_draft.load(*record);
            return;
        }
        close();
        Q_EMIT notLoaded(record.error());
    });
}

template <typename T>
void RecordEditing<T>::begin(T fresh, Begun begun) {
    m_wanted = Kind::idOf(fresh);
    m_draft.load(std::move(fresh));
    if (begun == Begun::Filled)
        m_draft.countAsChanged();
}

template <typename T>
void RecordEditing<T>::close() {
    m_wanted.reset();
    m_draft.load(std::nullopt);
}

template <typename T>
bool RecordEditing<T>::choose(const std::optional<Id>& id, By by) {
    if (id && m_wanted == id)
        return true;
    if ((!id || by == By::List) && (m_draft.isChanged() || m_draft.isNew()))
        return true; // what is being edited stays until another one is chosen
    return settle([this, id] { id ? open(*id) : close(); }) != Settled::Stays;
}

template <typename T>
void RecordEditing<T>::save(const std::function<void()>& then) {
    m_saves.start([this, then] { send(then); });
}

template <typename T>
void RecordEditing<T>::send(const std::function<void()>& then) {
    if (!m_draft.record() || (!m_draft.isNew() && !m_draft.isChanged())) {
        m_saves.answered();
        if (then)
            then();
        return;
    }
    const T record = Kind::tidy(*m_draft.record()); // what is still being typed stays as it is
    if (Kind::titleOf(record).isEmpty()) {
        m_saves.answered();
        Q_EMIT problem(Kind::untitled());
        Q_EMIT untitled();
        return;
    }
    m_library.ask<T>(
        this, [record](Library& library) { return Kind::save(library, record); },
        [this, then](const Result<T>& stored) { answered(stored, then); });
}

template <typename T>
void RecordEditing<T>::answered(const Result<T>& stored, const std::function<void()>& then) {
    if (stored)
        m_draft.saved(*stored);
    m_saves.answered();
    if (!stored) {
        refused(stored.error());
        return;
    }
    Q_EMIT this->stored();
    if (!then)
        return;
    if (m_draft.isChanged()) // more was typed meanwhile
        save(then);
    else
        then();
}

/// It could not be stored. When that is because it was changed elsewhere, both are there to choose from.
template <typename T>
void RecordEditing<T>::refused(const Error& error) {
    if (!m_draft.record()) {
        Q_EMIT problem(error);
        return;
    }
    const Id id = Kind::idOf(*m_draft.record());
    loadFor(id, [this, id, error](const Result<T>& stored) {
        const auto& mine = m_draft.record();
        if (!stored || !mine || !(Kind::idOf(*mine) == id) || stored->revision == mine->revision) {
            Q_EMIT problem(error);
            return;
        }
        m_theirs = *stored;
        Q_EMIT conflict();
    });
}

template <typename T>
void RecordEditing<T>::keepMine() {
    if (!m_theirs)
        return;
    m_draft.setRevision(m_theirs->revision);
    m_theirs.reset();
    save();
}

template <typename T>
void RecordEditing<T>::restore(const T& version) {
    m_draft.setRevision(std::max(m_draft.revision(), version.revision));
    m_draft.change(versionText(), [&](T& record) { record = version; });
}

/// Takes up what was typed last time and not saved.
template <typename T>
void RecordEditing<T>::recover(const T& unsaved) {
    const Id id = Kind::idOf(unsaved);
    loadFor(id, [this, id, unsaved](const Result<T>& stored) {
        T before = stored ? *stored : T();
        Kind::setId(before, id);
        before.revision = unsaved.revision; // what was changed elsewhere meanwhile shows when it is saved
        m_wanted = id;
        m_draft.load(before);
        m_draft.change(recoveryText(), [&](T& record) { record = unsaved; });
        Q_EMIT recovered();
        Q_EMIT notice(Kind::recovered(Kind::titleOf(unsaved)));
    });
}

/// The library has changed: what nobody edits here becomes as it is there.
template <typename T>
void RecordEditing<T>::follow() {
    const auto isOldNews = [this] { return !m_draft.record() || m_draft.isChanged() || m_draft.isNew(); };
    if (isOldNews())
        return;
    loadFor(Kind::idOf(*m_draft.record()), [this, isOldNews](const Result<T>& stored) {
        if (stored && !isOldNews() && Kind::idOf(*stored) == Kind::idOf(*m_draft.record()) &&
            stored->revision != m_draft.revision())
            m_draft.load(*stored);
    });
}

template <typename T>
typename RecordEditing<T>::Settled RecordEditing<T>::settle(const std::function<void()>& then) {
    if (!m_draft.isChanged()) {
        then();
        return Settled::Now;
    }
    switch (m_ask(Kind::titleOf(*m_draft.record()))) {
    case Unsaved::Save:
        save(then);
        return Settled::Later;
    case Unsaved::GiveUp:
        if (m_draft.isNew())
            close();
        else
            m_draft.leaveAsItWas();
        then();
        return Settled::Now;
    case Unsaved::Cancel:
        break;
    }
    return Settled::Stays;
}

template <typename T>
void RecordEditing<T>::putInBin() {
    if (!m_draft.record())
        return;
    if (m_draft.isNew()) {
        close();
        return;
    }
    const Id id = Kind::idOf(*m_draft.record());
    m_library.ask<void>(
        this, [id](Library& library) { return Kind::putInBin(library, id); },
        [this, id, title = Kind::titleOf(*m_draft.record())](const Result<void>& done) {
            if (!done) {
                Q_EMIT problem(done.error());
                return;
            }
            if (m_wanted == id)
                close();
            Q_EMIT notice(binnedText(title));
        });
}

} // namespace mivanta
