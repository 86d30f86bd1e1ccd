// SPDX-License-Identifier: GPL-3.0-or-later
#include "disc/DiscReader.h"
#include <QDir>
#include <QFile>
#include <QFileInfo>
#include <algorithm>
#include <array>
#include <cmath>
#include <dvdread/ifo_read.h>
#include <set>

namespace mivanta {

using namespace Qt::StringLiterals;

namespace {

constexpr double kShortestTitle = 1; // seconds
constexpr double kLongestTitle = 24 * 60 * 60;
constexpr int kProbes = 16;             // places of a title that are looked at
constexpr int kProbeSectors = 64;       // at each
constexpr qint64 kLargestUnit = 20'000; // sectors: about 40 MB, where a second of the fastest film has 1.3
constexpr quint16 kIsThere = 0x8000;    // of a title's tracks
constexpr quint32 kSubtitlesAreThere = 0x80000000;
constexpr int kMostSounds = 8;
constexpr int kMostSubtitles = 32;

double secondsOf(const dvd_time_t& time) {
    return secondsOfDiscTime(time.hour, time.minute, time.second, time.frame_u);
}

QString languageOf(bool isKnown, quint16 code) {
    const QString language = QString(QChar(code >> 8)) + QChar(code & 0xff);
    const bool isLetters =
        language[0] >= u'a' && language[0] <= u'z' && language[1] >= u'a' && language[1] <= u'z';
    return isKnown && isLetters ? language : QString();
}

/// How ffmpeg numbers a sound of that coding in an MPEG program stream.
int soundId(int coding, int stream) {
    switch (coding) {
    case 2:
    case 3:
        return 0x1c0 + stream;
    case 4:
        return 0xa0 + stream;
    case 6:
        return 0x88 + stream;
    default:
        return 0x80 + stream;
    }
}

/// Of the 4:2:0 pictures of ISO 13818-2, as discs have them.
QSize sizeOf(const video_attr_t& video) {
    const int height = video.video_format == 0 ? 480 : 576;
    switch (video.picture_size) {
    case 0:
        return {720, height};
    case 1:
        return {704, height};
    case 2:
        return {352, height};
    default:
        return {352, height / 2};
    }
}

/// 0xRRGGBB of a colour that is written as zero, Y, Cr, Cb (ITU-R BT.601, 16 to 235).
quint32 colourOf(uint32_t ycrcb) {
    const double y = 1.164 * (int(ycrcb >> 16 & 0xff) - 16);
    const double cr = int(ycrcb >> 8 & 0xff) - 128;
    const double cb = int(ycrcb & 0xff) - 128;
    const auto part = [](double value) { return quint32(std::clamp(std::lround(value), 0L, 255L)); };
    return part(y + 1.596 * cr) << 16 | part(y - 0.813 * cr - 0.391 * cb) << 8 | part(y + 2.018 * cb);
}

void noLog(void*, dvd_logger_level_t, const char*, va_list) {}

/// The folder with the disc's files, where the path is a folder.
QString filesIn(const QString& path) {
    const QDir folder(path);
    if (folder.dirName().compare(u"VIDEO_TS"_s, Qt::CaseInsensitive) == 0)
        return path;
    for (const QString& entry : folder.entryList(QDir::Dirs | QDir::NoDotAndDotDot))
        if (entry.compare(u"VIDEO_TS"_s, Qt::CaseInsensitive) == 0)
            return folder.filePath(entry);
    return {};
}

} // namespace

struct DiscReader::Files {
    struct Close {
        void operator()(ifo_handle_t* handle) const { ifoClose(handle); }
    };
    using Ifo = std::unique_ptr<ifo_handle_t, Close>;

    QString path; ///< drive, image, or the folder with the files
    QString name;
    dvd_reader_t* dvd = nullptr;
    Ifo main;
    std::map<int, Ifo> sets;

    ~Files() {
        sets.clear();
        main.reset();
        if (dvd)
            DVDClose(dvd);
    }
};

DiscReader::DiscReader(std::unique_ptr<Files> files) : m_files(std::move(files)) {}
DiscReader::~DiscReader() = default;

tl::expected<std::unique_ptr<DiscReader>, DiscProblem> DiscReader::open(const QString& path) {
    auto files = std::make_unique<Files>();
    const bool isFolder = QFileInfo(path).isDir();
    files->path = isFolder ? filesIn(path) : path;
    if (files->path.isEmpty())
        return tl::unexpected(DiscProblem::NoDisc);
    static const dvd_logger_cb silent{noLog};
    files->dvd = DVDOpen2(nullptr, &silent, QFile::encodeName(files->path).constData());
    if (!files->dvd)
        return tl::unexpected(QFileInfo::exists(path) ? DiscProblem::NoDisc : DiscProblem::Unreadable);
    files->main.reset(ifoOpen(files->dvd, 0));
    if (!files->main || !files->main->tt_srpt)
        return tl::unexpected(DiscProblem::NoDisc);
    std::array<char, 33> name{};
    if (isFolder)
        files->name = QFileInfo(QDir(files->path).filePath(u".."_s)).canonicalFilePath().section(u'/', -1);
    else if (DVDUDFVolumeInfo(files->dvd, name.data(), name.size() - 1, nullptr, 0) >= 0 ||
             DVDISOVolumeInfo(files->dvd, name.data(), name.size() - 1, nullptr, 0) >= 0)
        files->name = QString::fromLatin1(name.data()).replace(u'_', u' ').trimmed(); // discs have no spaces
    std::unique_ptr<DiscReader> reader(new DiscReader(std::move(files)));
    reader->readTitles();
    if (reader->m_titles.empty())
        return tl::unexpected(DiscProblem::NoDisc);
    return reader;
}

void DiscReader::readTitles() {
    for (int number = 1; number <= m_files->main->tt_srpt->nr_of_srpts && number <= 99; ++number) {
        Title title = titleOf(number);
        if (title.shown.seconds < kShortestTitle || title.shown.seconds > kLongestTitle)
            continue;
        title.shown.isProtected = isProtected(title);
        m_titles.push_back(std::move(title));
    }
}

DiscReader::Title DiscReader::titleOf(int number) const {
    Title title;
    title.shown.number = number;
    const title_info_t& info = m_files->main->tt_srpt->title[number - 1];
    title.set = info.title_set_nr;
    auto [at, isNew] = m_files->sets.try_emplace(title.set);
    if (isNew)
        at->second.reset(ifoOpen(m_files->dvd, title.set));
    const ifo_handle_t* set = at->second.get();
    if (!set || !set->vtsi_mat || !set->vts_ptt_srpt || !set->vts_pgcit || info.vts_ttn < 1 ||
        info.vts_ttn > set->vts_ptt_srpt->nr_of_srpts)
        return title;
    const ttu_t& parts = set->vts_ptt_srpt->title[info.vts_ttn - 1];
    std::set<int> chains;
    const pgc_t* first = nullptr;
    for (int part = 0; part < parts.nr_of_ptts; ++part) {
        const int chain = parts.ptt[part].pgcn;
        if (chain < 1 || chain > set->vts_pgcit->nr_of_pgci_srp)
            continue;
        const pgc_t* pgc = set->vts_pgcit->pgci_srp[chain - 1].pgc;
        if (!pgc || !pgc->cell_playback)
            continue;
        first = first ? first : pgc;
        if (chains.insert(chain).second)
            for (int i = 0; i < pgc->nr_of_cells; ++i) {
                const cell_playback_t& cell = pgc->cell_playback[i];
                if (cell.block_type == BLOCK_TYPE_ANGLE_BLOCK && cell.block_mode != BLOCK_MODE_FIRST_CELL)
                    continue; // another angle
                const double seconds = secondsOf(cell.playback_time);
                title.cells.push_back({cell.first_sector, cell.last_sector, title.shown.seconds, seconds,
                                       cell.interleaved != 0 || cell.block_type == BLOCK_TYPE_ANGLE_BLOCK});
                title.shown.seconds += seconds;
            }
        // Chapters begin with a program, and programs with a cell.
        const int program = parts.ptt[part].pgn;
        if (pgc->program_map && program >= 1 && program <= pgc->nr_of_programs && chains.size() == 1) {
            double from = 0;
            for (int i = 0; i + 1 < pgc->program_map[program - 1] && i < int(title.cells.size()); ++i)
                from += title.cells[size_t(i)].seconds;
            title.shown.chapters.push_back(from);
        }
    }
    if (!first)
        return title;
    title.shown.size = sizeOf(set->vtsi_mat->vts_video_attr);
    for (const uint32_t colour : first->palette)
        title.shown.palette << colourOf(colour);
    for (int i = 0; i < kMostSounds && i < set->vtsi_mat->nr_of_vts_audio_streams; ++i) {
        const audio_attr_t& sound = set->vtsi_mat->vts_audio_attr[i];
        if (first->audio_control[i] & kIsThere)
            title.shown.sounds.push_back({soundId(sound.audio_format, first->audio_control[i] >> 8 & 7),
                                          languageOf(sound.lang_type == 1, sound.lang_code),
                                          sound.channels + 1});
    }
    for (int i = 0; i < kMostSubtitles && i < set->vtsi_mat->nr_of_vts_subp_streams; ++i) {
        const subp_attr_t& words = set->vtsi_mat->vts_subp_attr[i];
        const quint32 control = first->subp_control[i];
        const bool isWide = set->vtsi_mat->vts_video_attr.display_aspect_ratio == 3;
        if (control & kSubtitlesAreThere)
            title.shown.subtitles.push_back({0x20 + int(control >> (isWide ? 16 : 24) & 0x1f),
                                             languageOf(words.type == 1, words.lang_code), 0});
    }
    return title;
}

/// Some sectors of such a disc are not scrambled: many are looked at.
bool DiscReader::isProtected(const Title& title) const {
    if (title.cells.empty())
        return false;
    const DiscSectors sectors(m_files->dvd, m_files->path, title.set);
    const qint64 first = title.cells.front().first;
    const qint64 length = std::max<qint64>(1, title.cells.back().last - first - kProbeSectors);
    for (int probe = 0; probe < kProbes; ++probe) {
        const auto data = sectors.read(first + length * probe / kProbes, kProbeSectors);
        for (int i = 0; data && i < kProbeSectors; ++i)
            if (isScrambled(data->constData() + qsizetype(i) * kSector))
                return true;
    }
    return false;
}

Disc DiscReader::disc() const {
    Disc disc{m_files->name, {}};
    for (const Title& title : m_titles)
        disc.titles.push_back(title.shown);
    return disc;
}

/// The last navigation sector of the cell that is not later than that, by halving where all of them are of
/// this cell, else one after the other.
qint64 DiscReader::unitAt(const DiscSectors& sectors, const Title& title, const Cell& cell,
                          double seconds) const {
    const auto isLater = [&](qint64 sector) {
        const auto data = sectors.read(sector, 1);
        const auto navigation = data ? navigationOf(*data) : std::nullopt;
        return !navigation || navigation->seconds > seconds - cell.from;
    };
    const vobu_admap_t* map = m_files->sets[title.set]->vts_vobu_admap;
    if (map && map->vobu_start_sectors && !cell.isInterleaved) {
        const uint32_t* begin = map->vobu_start_sectors;
        const uint32_t* end = begin + (map->last_byte + 1 - VOBU_ADMAP_SIZE) / sizeof(uint32_t);
        const uint32_t* first = std::lower_bound(begin, end, uint32_t(cell.first));
        const uint32_t* last = std::upper_bound(first, end, uint32_t(cell.last));
        const uint32_t* at =
            std::partition_point(first, last, [&](uint32_t sector) { return !isLater(sector); });
        return at == first ? cell.first : *(at - 1);
    }
    qint64 at = cell.first;
    for (;;) {
        const auto data = sectors.read(at, 1);
        const auto navigation = data ? navigationOf(*data) : std::nullopt;
        if (!navigation || !navigation->next || at + *navigation->next > cell.last ||
            isLater(at + *navigation->next))
            return at;
        at += *navigation->next;
    }
}

tl::expected<void, DiscProblem> DiscReader::read(int number, double from, double to,
                                                 const Write& write) const {
    const auto title = std::find_if(m_titles.begin(), m_titles.end(),
                                    [&](const Title& each) { return each.shown.number == number; });
    if (title == m_titles.end())
        return tl::unexpected(DiscProblem::NoDisc);
    if (title->shown.isProtected)
        return tl::unexpected(DiscProblem::Protected);
    const DiscSectors sectors(m_files->dvd, m_files->path, title->set);
    bool hasBegun = false;
    for (const Cell& cell : title->cells) {
        if (cell.from + cell.seconds <= from && &cell != &title->cells.back())
            continue;
        qint64 at = hasBegun ? cell.first : unitAt(sectors, *title, cell, from);
        while (at <= cell.last) {
            const auto head = sectors.read(at, 1);
            const auto navigation = head ? navigationOf(*head) : std::nullopt;
            if (!navigation || navigation->last > kLargestUnit)
                return tl::unexpected(DiscProblem::Damaged);
            const double seconds = cell.from + navigation->seconds;
            if (std::exchange(hasBegun, true) && seconds >= to)
                return {};
            const auto unit = sectors.read(at, int(navigation->last) + 1);
            if (!unit)
                return tl::unexpected(DiscProblem::Damaged);
            for (qsizetype i = 0; i < unit->size(); i += kSector)
                if (isScrambled(unit->constData() + i))
                    return tl::unexpected(DiscProblem::Protected);
            if (!write(seconds, *unit))
                return {};
            if (!navigation->next)
                break;
            at += *navigation->next;
        }
    }
    return {};
}

} // namespace mivanta
