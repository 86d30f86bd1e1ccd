// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "store/Library.h"

namespace mivanta {

/// One that lies in the bin.
template <typename Id>
struct Binned {
    Id id;
    QString title;
};

/// The bin of each kind in the library. The functions that take a library are for its thread.
template <typename T>
struct RecordBin;

template <>
struct RecordBin<Song> {
    using Id = SongId;
    static Result<std::vector<Binned<Id>>> all(Library& library);
    static Result<void> restore(Library& library, const Id& id) { return library.takeFromBin({id}); }
    static Result<int> empty(Library& library) { return library.emptyBin(); }
    static QString counted(int count); ///< "3 songs"
};

/// What is the same of those that the library keeps in a store of their own.
template <typename IdOfIt, auto store>
struct BinOf {
    using Id = IdOfIt;
    static Result<void> restore(Library& library, const Id& id) { return (library.*store)().takeFromBin(id); }
    static Result<int> empty(Library& library) { return (library.*store)().emptyBin(); }
};

template <>
struct RecordBin<SpokenText> : BinOf<TextId, &Library::texts> {
    static Result<std::vector<Binned<Id>>> all(Library& library);
    static QString counted(int count);
};

template <>
struct RecordBin<Theme> : BinOf<QString, &Library::themes> {
    static Result<std::vector<Binned<Id>>> all(Library& library);
    static QString counted(int count);
};

template <>
struct RecordBin<Medium> {
    using Id = QString; ///< of its file
    static Result<std::vector<Binned<Id>>> all(Library& library);
    static Result<void> restore(Library& library, const Id& id) {
        return library.catalogue().takeFromBin({id});
    }
    static Result<int> empty(Library& library) { return library.catalogue().emptyBin(); }
    static QString counted(int count);
};

template <>
struct RecordBin<Translation> : BinOf<TranslationId, &Library::scripture> {
    static Result<std::vector<Binned<Id>>> all(Library& library);
    static QString counted(int count);
};

} // namespace mivanta
