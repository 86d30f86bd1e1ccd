// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/live/LiveAddress.h"
#include "core/live/LiveInput.h"
#include "media/LiveSources.h"
#include "session/work/Worker.h"
#include <QWidget>
#include <array>
#include <functional>

class QCheckBox;
class QComboBox;
class QDoubleSpinBox;
class QFormLayout;
class QLabel;
class QLineEdit;
class QPushButton;
class QSpinBox;
class QToolButton;

namespace mivanta {

/// How one live input is set up: where its picture comes from, which part of it is shown and how.
class LiveForm : public QWidget {
    Q_OBJECT
public:
    explicit LiveForm(QWidget* parent = nullptr);
    /// `outputs`: what the outputs are called. What is being typed into stays as it is.
    void setInput(LiveInput input, const LiveSecret& secret, const QStringList& outputs);
    /// Where passwords are kept, in words.
    void setSecretsPlace(const QString& text);
    void focusSource();

Q_SIGNALS:
    void changed(const mivanta::LiveInput& input);
    void secretChanged(LiveInputId input, const mivanta::LiveSecret& secret);
    void fileWanted(); ///< a picture file is to be chosen
    void cardWanted(); ///< a picture of the library, to be shown while none comes
    void refused(const QString& why);

private:
    void addSource(QFormLayout* form);
    void addAddress(QFormLayout* form);
    void addShape(QFormLayout* form);
    void addSound(QFormLayout* form);
    void addWhenLost(QFormLayout* form);
    QCheckBox* check(const char* name, const QString& text, const QString& tip);
    QLineEdit* word(const char* name, const QString& tip, const std::function<void()>& typed);
    void look();
    void takeFound(LiveKind kind, std::vector<FoundSource> found);
    void fillSources();
    void sourceChosen(int index);
    void addressTyped();
    void secretTyped();
    void showKind();
    void send();

    LiveInput m_input;
    QStringList m_outputs;
    std::vector<FoundSource> m_found; ///< of its kind, when it was looked for last
    LiveKind m_foundKind = LiveKind::Network;
    Worker m_finding{QStringLiteral("live-sources")};

    QFormLayout* m_form;
    QLabel* m_heading;
    QLineEdit* m_name;
    QWidget* m_sourceRow;
    QComboBox* m_source; ///< a camera, monitor, window or output
    QLabel* m_sourceNote;
    QCheckBox* m_pointer;
    QLineEdit* m_address;
    QLineEdit* m_user;
    QLineEdit* m_password;
    QLineEdit* m_passphrase;
    QLabel* m_secretsPlace;
    QWidget* m_fileRow;
    QLineEdit* m_file;
    std::array<QDoubleSpinBox*, 4> m_cut; ///< % of the picture: left, top, right, bottom
    QComboBox* m_turn;
    QCheckBox* m_mirrored;
    QSpinBox* m_delay;
    QCheckBox* m_heard;
    QSpinBox* m_volume;
    QPushButton* m_card;
    QToolButton* m_noCard;
    QCheckBox* m_keptOpen;
};

} // namespace mivanta
