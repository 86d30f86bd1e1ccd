// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QTranslator>

namespace mivanta {

/// Turns every text into letters that are readable and plainly not English, with all that programs fill in
/// kept as it is: "[Ñó sóñg \u201c%1\u201d wás fóúñd]". What is still English on a screen was never given to
/// translation, and two pairs of brackets side by side are a sentence glued from pieces. Texts of three
/// letters at most have no brackets. Texts whose disambiguation is "date format" stay as they are.
class PseudoLanguage : public QTranslator {
public:
    /// `english` has the plural forms; it must outlive this object.
    explicit PseudoLanguage(const QTranslator& english, QObject* parent = nullptr)
        : QTranslator(parent),
          m_english(english) {}

    [[nodiscard]] QString translate(const char* context, const char* text, const char* disambiguation,
                                    int n) const override;
    [[nodiscard]] bool isEmpty() const override { return false; }

private:
    const QTranslator& m_english;
};

/// Whichever MIVANTA_LANGUAGE names ("de", or "pseudo" to see what is not translated), else the desktop's.
[[nodiscard]] QString wantedLanguage();

/// Makes the application speak English with its plural forms and, where it is shipped, this language. Needs
/// the application; call it once on its thread, before anything is shown.
void speak(const QString& language = wantedLanguage());

} // namespace mivanta
