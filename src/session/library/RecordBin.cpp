// SPDX-License-Identifier: GPL-3.0-or-later
#include "session/library/RecordBin.h"
#include "core/base/Said.h"

namespace mivanta {

namespace {

/// What was found, by its title.
template <typename Id, typename T>
Result<std::vector<Binned<Id>>> binned(const Result<std::vector<T>>& found, QString T::*title) {
    if (!found)
        return tl::unexpected(found.error());
    std::vector<Binned<Id>> all;
    for (const T& each : *found)
        all.push_back({each.id, each.*title});
    return all;
}

} // namespace

Result<std::vector<Binned<SongId>>> RecordBin<Song>::all(Library& library) {
    return binned<SongId>(library.bin(), &SongSummary::title);
}

QString RecordBin<Song>::counted(int count) {
    return Said::tr("%n songs", nullptr, count);
}

Result<std::vector<Binned<TextId>>> RecordBin<SpokenText>::all(Library& library) {
    return binned<TextId>(library.texts().bin(), &TextSummary::title);
}

QString RecordBin<SpokenText>::counted(int count) {
    return Said::tr("%n texts", nullptr, count);
}

Result<std::vector<Binned<QString>>> RecordBin<Theme>::all(Library& library) {
    return binned<QString>(library.themes().bin(), &Theme::name);
}

QString RecordBin<Theme>::counted(int count) {
    return Said::tr("%n themes", nullptr, count);
}

Result<std::vector<Binned<QString>>> RecordBin<Medium>::all(Library& library) {
    auto media = library.catalogue().bin();
    if (!media)
        return tl::unexpected(media.error());
    std::vector<Binned<QString>> all;
    for (const Medium& medium : *media)
        all.push_back({medium.name, medium.title});
    return all;
}

QString RecordBin<Medium>::counted(int count) {
    return Said::tr("%n media", nullptr, count);
}

Result<std::vector<Binned<TranslationId>>> RecordBin<Translation>::all(Library& library) {
    return binned<TranslationId>(library.scripture().bin(), &Translation::name);
}

QString RecordBin<Translation>::counted(int count) {
    return Said::tr("%n translations", nullptr, count);
}

} // namespace mivanta
