// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/order/ItemWords.h"
#include "store/MediaFiles.h"
#include <functional>

class QImage;
class QObject;

namespace mivanta {

class Prompts;
class Session;

using MediumTaken = std::function<void(const StoredMedium&)>;

/// Copies a picture file into the library, in the background; what is no picture is told and changes nothing.
/// `taken` is not called when `asker` is gone by then.
void bringInPicture(Session& session, QObject* asker, const QString& path, const MediumTaken& taken);
/// The same for several, in their order; those that are no pictures are told and left out.
void bringInPictures(Session& session, QObject* asker, const QStringList& paths,
                     const std::function<void(std::vector<OrderPicture>)>& taken);
/// The same for a picture that was pasted.
void bringInPicture(Session& session, QObject* asker, const QImage& picture, const MediumTaken& taken);
/// The same for a file that the person chooses.
void choosePicture(Session& session, Prompts& prompts, QObject* asker, const MediumTaken& taken);

/// The same for a sound file; what libmpv cannot play is told and changes nothing.
void bringInSound(Session& session, QObject* asker, const QString& path, const MediumTaken& taken);

} // namespace mivanta
