// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/library/RecordKind.h"
#include <QObject>
#include <QUndoStack>
#include <functional>
#include <optional>

namespace mivanta {

/// What a draft tells, whatever it is of.
class DraftSignals : public QObject {
    Q_OBJECT
public:
    explicit DraftSignals(QObject* parent = nullptr);
    [[nodiscard]] QUndoStack& undoStack() { return m_undo; }
    void undo() { m_undo.undo(); }
    void redo() { m_undo.redo(); }

Q_SIGNALS:
    void loaded();       ///< another record is here, or none
    void changed();      ///< its content
    void stateChanged(); ///< changed or saved

protected:
    /// How undo names taking back everything.
    [[nodiscard]] static QString backText();
    QUndoStack m_undo;
};

/// A record of the library that is being edited, apart from the library until it is saved. Every change can
/// be undone; typing in one place counts as one change. Lives on the GUI thread.
template <typename T>
class RecordDraft : public DraftSignals {
public:
    using Kind = RecordKind<T>;
    using DraftSignals::DraftSignals;

    /// Takes up a record as it is stored, or nothing.
    void load(std::optional<T> stored);
    [[nodiscard]] const std::optional<T>& record() const { return m_record; }
    [[nodiscard]] bool isChanged() const { return m_record && !m_undo.isClean(); }
    /// The library does not have it yet.
    [[nodiscard]] bool isNew() const { return revision() == 0 && m_record; }
    [[nodiscard]] int revision() const { return m_record ? m_record->revision : 0; }

    /// Changes a copy of the record and takes it up as one undo step called `what`. Changes with the same
    /// `typingPlace` (0 = none) that follow one another are one step.
    void change(const QString& what, const std::function<void(T&)>& work, int typingPlace = 0);
    /// Takes back every change since the record was loaded or saved; that, too, can be undone.
    void leaveAsItWas();
    /// It counts as changed, as it is: it began with something in it.
    void countAsChanged();
    /// The library's record has become another one meanwhile; the draft stays and may take its place.
    void setRevision(int revision);
    /// The record is in the library now, tidied, as given; what was changed since it was sent there is not.
    void saved(const T& stored);

private:
    class Change;
    void take(const T& record);

    std::optional<T> m_record;
    std::optional<T> m_stored; ///< as it was loaded or saved
};

template <typename T>
class RecordDraft<T>::Change : public QUndoCommand {
public:
    Change(RecordDraft& draft, T before, T after, const QString& what, int typingPlace)
        : QUndoCommand(what),
          m_draft(draft),
          m_before(std::move(before)),
          m_after(std::move(after)),
          m_typingPlace(typingPlace) {}
    void undo() override { m_draft.take(m_before); }
    void redo() override { m_draft.take(m_after); }
    [[nodiscard]] int id() const override { return m_typingPlace == 0 ? -1 : 1; }
    bool mergeWith(const QUndoCommand* later) override {
        const auto& other = static_cast<const Change&>(*later);
        if (other.m_typingPlace != m_typingPlace)
            return false;
        m_after = other.m_after;
        return true;
    }

private:
    RecordDraft& m_draft;
    T m_before;
    T m_after;
    int m_typingPlace;
};

template <typename T>
void RecordDraft<T>::load(std::optional<T> stored) {
    m_record = stored;
    m_stored = std::move(stored);
    m_undo.clear();
    Q_EMIT loaded();
    Q_EMIT stateChanged();
}

template <typename T>
void RecordDraft<T>::change(const QString& what, const std::function<void(T&)>& work, int typingPlace) {
    if (!m_record)
        return;
    T next = *m_record;
    work(next);
    if (!Kind::isSame(next, *m_record))
        m_undo.push(new Change(*this, *m_record, std::move(next), what, typingPlace));
}

template <typename T>
void RecordDraft<T>::take(const T& record) {
    const int revision = this->revision(); // what was saved meanwhile stays known
    m_record = record;
    setRevision(revision);
    Q_EMIT changed();
}

template <typename T>
void RecordDraft<T>::leaveAsItWas() {
    if (m_undo.cleanIndex() >= 0) {
        m_undo.setIndex(m_undo.cleanIndex());
        return;
    }
    // Undo cannot reach it any more: it was left by undoing and going on another way.
    change(backText(), [this](T& record) { record = *m_stored; });
    m_undo.setClean();
}

template <typename T>
void RecordDraft<T>::countAsChanged() {
    m_undo.resetClean();
    Q_EMIT stateChanged();
}

template <typename T>
void RecordDraft<T>::setRevision(int revision) {
    if (m_record)
        m_record->revision = revision;
}

template <typename T>
void RecordDraft<T>::saved(const T& stored) {
    if (!m_record || !(Kind::idOf(*m_record) == Kind::idOf(stored)))
        return;
    setRevision(stored.revision);
    m_stored = stored;
    if (Kind::isSame(Kind::tidy(*m_record), stored))
        m_undo.setClean();
    else
        m_undo.resetClean(); // more was typed while it was being saved
    Q_EMIT stateChanged();
}

using SongDraft = RecordDraft<Song>;
using TextDraft = RecordDraft<SpokenText>;

} // namespace mivanta
