// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <csignal>
#include <sys/resource.h>

namespace mivanta {

/// Lets no file grow beyond some bytes, as a full disk does.
class SmallDisk {
public:
    explicit SmallDisk(rlim_t bytes) {
        std::signal(SIGXFSZ, SIG_IGN);
        getrlimit(RLIMIT_FSIZE, &m_before);
        const rlimit small{bytes, m_before.rlim_max};
        setrlimit(RLIMIT_FSIZE, &small);
    }
    ~SmallDisk() { setrlimit(RLIMIT_FSIZE, &m_before); }

private:
    rlimit m_before{};
};

} // namespace mivanta
