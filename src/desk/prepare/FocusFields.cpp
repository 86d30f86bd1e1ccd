// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/prepare/FocusFields.h"
#include "desk/prepare/FieldsOfItems.h"
#include <QHBoxLayout>
#include <QLabel>
#include <cmath>

namespace mivanta {

FocusFields::FocusFields(const QString& name, QWidget* parent) : QWidget(parent) {
    m_across = makePerCent((name + QStringLiteral("-across")).toLatin1(),
                           tr("What stays in sight, from the picture's left"), this);
    m_down = makePerCent((name + QStringLiteral("-down")).toLatin1(),
                         tr("What stays in sight, from the picture's top"), this);
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(0, 0, 0, 0);
    row->addWidget(m_across);
    row->addWidget(new QLabel(tr("from the left,"), this));
    row->addWidget(m_down);
    row->addWidget(new QLabel(tr("from the top"), this));
    row->addStretch(1);
    for (QSpinBox* box : {m_across, m_down})
        connect(box, &QSpinBox::valueChanged, this, [this] {
            Q_EMIT chosen({m_across->value() / 100.0, m_down->value() / 100.0});
        });
}

void FocusFields::setFocusPoint(QPointF focus) {
    putValue(m_across, int(std::lround(focus.x() * 100)));
    putValue(m_down, int(std::lround(focus.y() * 100)));
}

} // namespace mivanta

#include "moc_FocusFields.cpp"
