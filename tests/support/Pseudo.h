// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/base/Language.h"
#include <QCoreApplication>

namespace mivanta::samples {

/// While it lives, every text is another one than in English.
class Pseudo {
public:
    Pseudo() { QCoreApplication::installTranslator(&m_pseudo); }
    ~Pseudo() { QCoreApplication::removeTranslator(&m_pseudo); }
    Pseudo(const Pseudo&) = delete;
    Pseudo& operator=(const Pseudo&) = delete;

private:
    QTranslator m_english;
    PseudoLanguage m_pseudo{m_english};
};

} // namespace mivanta::samples
