// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "session/service/ServiceDocument.h"
#include <QUndoCommand>
#include <utility>

// The steps of a service document's undo. For ServiceDocument.cpp only.

namespace mivanta {

/// Holds the order before and after. Songs are shared, so both are small.
class ServiceDocument::Change : public QUndoCommand {
public:
    Change(ServiceDocument& document, Service after, const QString& what, int visit)
        : QUndoCommand(what),
          m_document(document),
          m_before(document.m_service),
          m_after(std::move(after)),
          m_versionBefore(document.m_version),
          m_versionAfter(document.newVersion()),
          m_visit(visit) {}
    [[nodiscard]] int id() const override { return m_visit == 0 ? -1 : 1; }
    bool mergeWith(const QUndoCommand* later) override {
        const auto& other = static_cast<const Change&>(*later);
        if (other.m_visit != m_visit || m_document.m_file->savedVersion == m_versionAfter)
            return false; // what was saved stays a step
        m_after = other.m_after;
        m_versionAfter = other.m_versionAfter;
        return true;
    }
    void undo() override { m_document.show(m_before, m_versionBefore); }
    void redo() override { m_document.show(m_after, m_versionAfter); }

private:
    ServiceDocument& m_document;
    Service m_before;
    Service m_after;
    int m_versionBefore;
    int m_versionAfter;
    int m_visit; ///< changes of one visit are one step; 0 = a step of its own
};

/// Another service takes the place of the one before, which is held with all that is known of its file.
class ServiceDocument::Opening : public QUndoCommand {
public:
    Opening(ServiceDocument& document, Held other, const QString& what)
        : QUndoCommand(what),
          m_document(document),
          m_other(std::move(other)) {}
    void undo() override { goBack(); }
    void redo() override {
        if (std::exchange(m_isNew, false))
            m_document.exchange(m_other);
        else
            goBack();
    }

private:
    void goBack() {
        m_document.exchange(m_other);
        Q_EMIT m_document.opened();
        Q_EMIT m_document.broughtBack();
    }

    ServiceDocument& m_document;
    Held m_other; ///< the one that is not worked on
    bool m_isNew = true;
};

} // namespace mivanta
