// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/media/Medium.h"
#include <functional>
#include <vector>

class QImage;
class QObject;

namespace mivanta {

class Prompts;
class Session;

using MediumTaken = std::function<void(const Medium&)>;

/// Copies a picture, film or sound file into the library, in the background; what is none of that kind is
/// told and changes nothing. `taken` is not called when `asker` is gone by then.
void bringInOne(Session& session, QObject* asker, const QString& path, MediumKind kind,
                const MediumTaken& taken);
/// The same, whatever kind it is of.
void bringInOne(Session& session, QObject* asker, const QString& path, const MediumTaken& taken);
/// The same for several, in their order; those that cannot be used are told and left out.
void bringInSeveral(Session& session, QObject* asker, const QStringList& paths,
                    const std::function<void(std::vector<Medium>)>& taken);
/// The same for a picture that was pasted.
void bringInPasted(Session& session, QObject* asker, const QImage& picture, const MediumTaken& taken);
/// The same for a picture or film file that the person chooses.
void chooseMedium(Session& session, Prompts& prompts, QObject* asker, MediumKind kind,
                  const MediumTaken& taken);

} // namespace mivanta
