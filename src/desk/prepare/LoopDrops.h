// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "core/order/Service.h"
#include <functional>

class QObject;

namespace mivanta {

class Prompts;
class Session;

/// Files become members of a loop, in the background: pictures join its set, a film asks in which rounds it
/// comes, music sounds underneath. One step of undo. What cannot be shown is told and left out.
void placeIntoLoop(Session& session, Prompts& prompts, QObject* asker, const ItemId& loop,
                   const QStringList& files);

/// The pictures, films and music of a folder become a loop of that name, in front of what is at `at` now.
void placeFolderAsLoop(Session& session, Prompts& prompts, QObject* asker, const QString& folder, int at,
                       const std::function<void(const ItemId&)>& placed);

/// A loop as one begins with it: until five minutes before the service, when that has a time.
[[nodiscard]] LoopItem usualLoop(const Service& service, const QString& title);

/// These words as items that join the loop, to be inserted behind its last member.
[[nodiscard]] std::vector<Item> membersOfWords(const Item& loop, std::vector<ItemWords> words);
[[nodiscard]] int behindLoop(const Item& loop, const Service& service);

} // namespace mivanta
