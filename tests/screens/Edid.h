// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QByteArray>
#include <cstdlib>
#include <cstring>
#include <memory>
#include <string>
#include <xcb/randr.h>

namespace mivanta {

/// What a monitor says of itself: a base block of VESA's E-EDID standard with a name and a serial number.
inline QByteArray edidOf(const QByteArray& maker, const QByteArray& model, const QByteArray& serial) {
    QByteArray block(128, '\0');
    std::memcpy(block.data(), "\x00\xff\xff\xff\xff\xff\xff\x00", 8);
    int id = 0; // three letters of five bits each
    for (const char letter : maker)
        id = id << 5 | (letter - 'A' + 1);
    block[8] = char(id >> 8);
    block[9] = char(id);
    block[18] = 1; // version 1.4
    block[19] = 4;
    const auto describe = [&](int at, char kind, QByteArray text) {
        text = (text + '\n').leftJustified(13, ' ', true);
        block[at + 3] = kind;
        std::memcpy(block.data() + at + 5, text.constData(), 13);
    };
    describe(72, char(0xfc), model);
    describe(90, char(0xff), serial);
    unsigned char sum = 0;
    for (const char byte : block)
        sum = static_cast<unsigned char>(sum + static_cast<unsigned char>(byte));
    block[127] = char(256 - sum);
    return block;
}

/// Has the output of the X display ("DUMMY1") say so from when it is switched on next.
inline bool setEdid(const std::string& output, const QByteArray& edid) {
    struct Free {
        void operator()(void* p) const { std::free(p); }
    };
    xcb_connection_t* x = xcb_connect(nullptr, nullptr);
    bool done = false;
    const std::unique_ptr<xcb_intern_atom_reply_t, Free> atom(
        xcb_intern_atom_reply(x, xcb_intern_atom(x, 0, 4, "EDID"), nullptr));
    const xcb_window_t root = xcb_setup_roots_iterator(xcb_get_setup(x)).data->root;
    const std::unique_ptr<xcb_randr_get_screen_resources_current_reply_t, Free> all(
        xcb_randr_get_screen_resources_current_reply(x, xcb_randr_get_screen_resources_current(x, root),
                                                     nullptr));
    for (int i = 0; atom && all && i < xcb_randr_get_screen_resources_current_outputs_length(all.get());
         ++i) {
        const xcb_randr_output_t id = xcb_randr_get_screen_resources_current_outputs(all.get())[i];
        const std::unique_ptr<xcb_randr_get_output_info_reply_t, Free> info(
            xcb_randr_get_output_info_reply(x, xcb_randr_get_output_info(x, id, 0), nullptr));
        const std::string name(reinterpret_cast<const char*>(xcb_randr_get_output_info_name(info.get())),
                               size_t(xcb_randr_get_output_info_name_length(info.get())));
        if (name != output)
            continue;
        xcb_randr_change_output_property(x, id, atom->atom, 19 /* INTEGER */, 8, 0 /* replace */,
                                         uint32_t(edid.size()), edid.constData());
        done = true;
    }
    xcb_flush(x);
    std::free(xcb_get_input_focus_reply(x, xcb_get_input_focus(x), nullptr)); // until it is done
    xcb_disconnect(x);
    return done;
}

} // namespace mivanta
