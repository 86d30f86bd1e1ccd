// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "sending/OrderSheets.h"
#include "session/Session.h"
#include "session/work/Worker.h"

class QMenu;

namespace mivanta {

class Prompts;

enum class ServiceSheet { Order, Words, Slides };
enum class SheetForm { Print, Pdf, Html, Text, Csv };

/// The service on paper or as a file to send: asks where to, writes in the background, tells what became of
/// it through the session. GUI thread.
class OrderSender : public QObject {
    Q_OBJECT
public:
    OrderSender(Session& session, Prompts& prompts, QObject* parent = nullptr);
    ~OrderSender() override;

    /// `perPage`: of slides, which are printed or a PDF; words are no table.
    void send(ServiceSheet sheet, SheetForm form, int perPage = 6);
    /// The order as text on the clipboard, for a message.
    void copyText();
    /// All of that as a menu.
    void fill(QMenu& menu);

private:
    void write(const QString& path, const std::function<Result<QByteArray>()>& make);
    void print(const std::function<bool(QPagedPaintDevice&)>& paint);
    [[nodiscard]] std::vector<SlideOnPaper> slides() const;
    [[nodiscard]] RenderSources pictures() const;

    Session& m_session;
    Prompts& m_prompts;
    Worker m_worker{QStringLiteral("order sheets")}; // for machines
};

} // namespace mivanta
