// SPDX-License-Identifier: GPL-3.0-or-later
#include "desk/song/DetailsForm.h"
#include "core/song/Chords.h"
#include "desk/kit/Columns.h"
#include "desk/kit/OneLineFields.h"
#include "desk/kit/Style.h"
#include "desk/song/WholePaste.h"
#include <QComboBox>
#include <QFormLayout>
#include <QLabel>
#include <QLineEdit>
#include <QPlainTextEdit>
#include <QRegularExpression>

namespace mivanta {

namespace {

QStringList pieces(const QString& text, QChar separator) {
    QStringList result;
    for (const QString& piece : text.split(separator))
        if (!piece.trimmed().isEmpty())
            result << piece.trimmed();
    return result;
}

const QString kJoin = QStringLiteral("; ");

QString authorsText(const Song& song, AuthorRole role) {
    return song.authorNames(role).join(kJoin);
}

/// Authors of a role as typed; the others stay, roles in their settled order.
void setAuthors(Song& song, AuthorRole role, const QString& text) {
    std::erase_if(song.authors, [&](const Author& a) { return a.role == role; });
    for (const QString& name : pieces(text, u';'))
        song.authors.push_back({role, name});
    std::stable_sort(song.authors.begin(), song.authors.end(),
                     [](const Author& a, const Author& b) { return a.role < b.role; });
}

QString booksText(const Song& song) {
    QStringList books;
    for (const BookNumber& book : song.bookNumbers)
        books << (book.book + u' ' + book.number).trimmed();
    return books.join(kJoin);
}

void setBooks(Song& song, const QString& text) {
    song.bookNumbers.clear();
    for (const QString& piece : pieces(text, u';')) {
        static const QRegularExpression shape(QStringLiteral("^(.*?)\\s*#?(\\S*\\d\\S*)$"));
        const auto match = shape.match(piece);
        song.bookNumbers.push_back(match.hasMatch() ? BookNumber{match.captured(1), match.captured(2)}
                                                    : BookNumber{piece, {}});
    }
}

QString detail(const QString& name, const QString& value) {
    return value.isEmpty() ? QString()
                           : QStringLiteral("<span style='color:%1'>%2</span> <b>%3</b>")
                                 .arg(day().quiet.name(), name.toHtmlEscaped(),
                                      value.toHtmlEscaped().replace(u' ', QChar::Nbsp));
}

QString numberText(int number) {
    return number > 0 ? QString::number(number) : QString();
}

} // namespace

DetailsForm::DetailsForm(QWidget* parent) : QScrollArea(parent) {
    setObjectName(QStringLiteral("details-form"));
    setWidgetResizable(true);
    setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    auto* content = new QWidget(this);
    m_form = new QFormLayout(content);
    m_form->setContentsMargins(0, spaced(2), spaced(2), spaced(4));
    m_form->setFieldGrowthPolicy(QFormLayout::AllNonFixedFieldsGrow);
    m_gaps = new QLabel(content);
    m_gaps->setObjectName(QStringLiteral("details-gaps"));
    m_gaps->setWordWrap(true);
    makeQuiet(m_gaps);
    m_form->addRow(m_gaps);

    addField(
        QStringLiteral("title"), tr("Title"), tr("What the song is called; the one detail that it needs"),
        [](const Song& s) { return s.title; }, [](Song& s, const QString& t) { s.title = t; });
    takeLinesPastedInto(m_fields.front().edit, [this](const QString& text) {
        const bool isTheSong = m_isFresh; // no longer so afterwards
        if (isTheSong)
            Q_EMIT songPasted(text);
        return isTheSong;
    });
    addField(
        QStringLiteral("other-titles"), tr("Other titles"),
        tr("Find looks here, too; separate several with ;"),
        [](const Song& s) { return s.otherTitles.join(kJoin); },
        [](Song& s, const QString& t) { s.otherTitles = pieces(t, u';'); });
    const std::tuple<QString, QString, AuthorRole> roles[]{
        {QStringLiteral("words-by"), tr("Words by"), AuthorRole::Words},
        {QStringLiteral("music-by"), tr("Music by"), AuthorRole::Music},
        {QStringLiteral("translation-by"), tr("Translation by"), AuthorRole::Translation},
        {QStringLiteral("arrangement-by"), tr("Arrangement by"), AuthorRole::Arrangement}};
    for (const auto& [name, label, role] : roles)
        addField(
            name, label, tr("Separate several names with ;"),
            [role = role](const Song& s) { return authorsText(s, role); },
            [role = role](Song& s, const QString& t) { setAuthors(s, role, t); });
    addField(
        QStringLiteral("copyright"), tr("Copyright"), tr("As the owner wants it shown"),
        [](const Song& s) { return s.copyright; }, [](Song& s, const QString& t) { s.copyright = t; });
    addField(
        QStringLiteral("licence"), tr("Licence no."),
        tr("The song's number with your licence for projecting"),
        [](const Song& s) { return s.licenceNumber; },
        [](Song& s, const QString& t) { s.licenceNumber = t; });
    addField(QStringLiteral("books"), tr("In books"),
             tr("Book and number, such as Shore Hymnal 203; separate several with ;"), booksText, setBooks);
    addField(
        QStringLiteral("key"), tr("Key"), tr("Such as G or F#m; left empty, it is guessed from the chords"),
        [](const Song& s) { return s.key; }, [](Song& s, const QString& t) { s.key = t.trimmed(); });
    addField(
        QStringLiteral("tempo"), tr("Tempo"), tr("Beats a minute"),
        [](const Song& s) { return numberText(s.tempo); },
        [](Song& s, const QString& t) { s.tempo = std::clamp(t.toInt(), 0, 400); });
    addField(
        QStringLiteral("time"), tr("Time signature"), tr("Such as 3/4"),
        [](const Song& s) { return s.timeSignature; },
        [](Song& s, const QString& t) { s.timeSignature = t.trimmed(); });
    addField(
        QStringLiteral("capo"), tr("Capo"), tr("The fret; empty = none"),
        [](const Song& s) { return numberText(s.capo); },
        [](Song& s, const QString& t) { s.capo = std::clamp(t.toInt(), 0, 12); });
    addField(
        QStringLiteral("topics"), tr("Topics"), tr("Separate several with commas"),
        [](const Song& s) { return s.topics.join(QStringLiteral(", ")); },
        [](Song& s, const QString& t) { s.topics = pieces(t, u','); });
    addField(
        QStringLiteral("language"), tr("Language"), tr("A language tag, such as en, fr or he"),
        [](const Song& s) { return s.language; },
        [](Song& s, const QString& t) { s.language = t.trimmed(); });
    addField(
        QStringLiteral("track"), tr("Backing track"), tr("A sound file"),
        [](const Song& s) { return s.backingTrack; }, [](Song& s, const QString& t) { s.backingTrack = t; });

    m_theme = new ThemeBox(tr("The service's theme"), content);
    m_theme->setObjectName(QStringLiteral("detail-theme"));
    m_theme->setAccessibleName(tr("Usual theme"));
    m_theme->setToolTip(tr("How this song looks unless the service says otherwise"));
    connect(m_theme, &QComboBox::activated, this, [this] {
        const QString id = m_theme->theme();
        Q_EMIT edited(
            tr("usual theme"), [id](Song& song) { song.usualTheme = id; }, 0);
    });
    m_form->addRow(tr("Usual theme"), m_theme);
    m_notes = new QPlainTextEdit(content);
    m_notes->setObjectName(QStringLiteral("detail-notes"));
    m_notes->setAccessibleName(tr("Notes"));
    m_notes->setToolTip(tr("For yourselves; shown on no screen"));
    m_notes->setTabChangesFocus(true);
    m_notes->setFixedHeight(spaced(20));
    connect(m_notes, &QPlainTextEdit::textChanged, this, [this] {
        const QString text = m_notes->toPlainText();
        Q_EMIT edited(
            tr("notes"), [text](Song& song) { song.notes = text; }, int(m_fields.size()) + 1);
    });
    m_form->addRow(tr("Notes"), m_notes);
    setWidget(content);
}

void DetailsForm::addField(const QString& name, const QString& label, const QString& tip, const Get& get,
                           const Set& set) {
    auto* edit = new QLineEdit(m_form->parentWidget());
    edit->setObjectName(QStringLiteral("detail-") + name);
    edit->setAccessibleName(label);
    edit->setToolTip(tip);
    m_form->addRow(label, edit);
    m_fields.push_back({edit, get, set});
    const int field = int(m_fields.size());
    connect(edit, &QLineEdit::textEdited, this, [this, label, set, field](const QString& text) {
        Q_EMIT edited(
            label, [set, text](Song& song) { set(song, text); }, field);
    });
}

void DetailsForm::setSong(const Song& song) {
    m_isFresh = isFresh(song);
    for (const Field& field : m_fields) {
        Song typed = song;
        field.set(typed, field.edit->text());
        if (field.get(typed) != field.get(song) || !field.edit->hasFocus())
            field.edit->setText(field.get(song));
    }
    findChild<QLineEdit*>(QStringLiteral("detail-key"))
        ->setPlaceholderText(guessedKey(song).value_or(QString()));
    if (m_notes->toPlainText() != song.notes) {
        const QSignalBlocker quiet(m_notes);
        m_notes->setPlainText(song.notes);
    }
    m_theme->setTheme(song.usualTheme);
    const QString gaps = gapsOf(song);
    m_gaps->setText(gaps);
    m_form->setRowVisible(m_gaps, !gaps.isEmpty());
}

QString DetailsForm::summaryOf(const Song& song) {
    QStringList books;
    for (const BookNumber& book : song.bookNumbers)
        books << book.book + u' ' + book.number;
    QStringList all{detail(tr("Words"), song.authorNames(AuthorRole::Words).join(QStringLiteral(", "))),
                    detail(tr("Music"), song.authorNames(AuthorRole::Music).join(QStringLiteral(", "))),
                    detail(tr("In"), books.join(QStringLiteral(", "))),
                    detail(tr("Key"), song.key),
                    detail(tr("Tempo"), song.tempo > 0 ? QString::number(song.tempo) : QString()),
                    detail(tr("Licence no."), song.licenceNumber),
                    detail(tr("Topics"), song.topics.join(QStringLiteral(", "))),
                    detail(tr("Also called"), song.otherTitles.join(QStringLiteral(", "))),
                    song.copyright.toHtmlEscaped()};
    all.removeAll(QString());
    const QString gaps = gapsOf(song);
    if (!gaps.isEmpty())
        all << QStringLiteral("<a href='details' style='color:%1'>%2</a>")
                   .arg(day().quiet.name(), tr("details that may be wanted\u2026"));
    return all.join(QStringLiteral(" &nbsp; &nbsp; "));
}

QString DetailsForm::gapsOf(const Song& song) {
    QStringList gaps;
    if (song.authorNames().isEmpty())
        gaps << tr("who wrote it");
    if (song.copyright.isEmpty())
        gaps << tr("whose it is (copyright)");
    if (song.licenceNumber.isEmpty())
        gaps << tr("the licence number");
    return gaps.isEmpty() ? QString()
                          : tr("For projecting it lawfully, this may still be wanted: %1.")
                                .arg(gaps.join(QStringLiteral(", ")));
}

} // namespace mivanta

#include "moc_DetailsForm.cpp"
