// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once

namespace mivanta {

class MediumPictures;
class Prompts;
class Sender;
class Session;
class Speller;
class ThumbnailStore;

/// What the desks share; the window owns all of it.
struct Tools {
    Session& session;
    Prompts& prompts;
    Sender& sender;
    Speller& speller;
    ThumbnailStore& thumbnails;
    MediumPictures& mediumPictures;
};

} // namespace mivanta
