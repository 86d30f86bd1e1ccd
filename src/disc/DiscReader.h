// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/media/Disc.h"
#include "disc/DiscSectors.h"
#include <functional>
#include <memory>

namespace mivanta {

/// A video disc (DVD-Video) in a drive, an image or a folder. What is in it may be anything: it is read in a
/// process of its own. One thread.
class DiscReader {
public:
    [[nodiscard]] static tl::expected<std::unique_ptr<DiscReader>, DiscProblem> open(const QString& path);
    ~DiscReader();

    /// Titles of less than a second are left out.
    [[nodiscard]] Disc disc() const;

    /// `at`: seconds of the title where it begins. False ends it.
    using Write = std::function<bool(double at, const QByteArray& data)>;
    /// The part of a title as an MPEG program stream, piece by piece. It begins a little before `from`, where
    /// pictures begin that need none before them.
    [[nodiscard]] tl::expected<void, DiscProblem> read(int title, double from, double to,
                                                       const Write& write) const;

private:
    struct Files;
    /// A row of pictures that follow each other on the disc.
    struct Cell {
        qint64 first = 0; ///< sectors
        qint64 last = 0;
        double from = 0; ///< seconds of the title
        double seconds = 0;
        bool isInterleaved = false; ///< with others that are not of this title
    };
    struct Title {
        DiscTitle shown;
        int set = 0;
        std::vector<Cell> cells;
    };
    explicit DiscReader(std::unique_ptr<Files> files);
    void readTitles();
    [[nodiscard]] Title titleOf(int number) const;
    [[nodiscard]] bool isProtected(const Title& title) const;
    [[nodiscard]] qint64 unitAt(const DiscSectors& sectors, const Title& title, const Cell& cell,
                                double seconds) const;

    std::unique_ptr<Files> m_files;
    std::vector<Title> m_titles;
};

} // namespace mivanta
