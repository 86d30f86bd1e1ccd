// SPDX-License-Identifier: GPL-3.0-or-later
#include "formats/XmlRecovery.h"
#include <libxml/parser.h>
#include <libxml/tree.h>
#include <memory>

namespace mivanta {

namespace {

constexpr size_t kMostFaults = 200;

#if LIBXML_VERSION >= 21200
using FaultPtr = const xmlError*;
#else
using FaultPtr = xmlError*;
#endif

void note(void* recovered, FaultPtr fault) {
    auto& faults = static_cast<RecoveredXml*>(recovered)->faults;
    if (fault && fault->level >= XML_ERR_ERROR && faults.size() < kMostFaults)
        faults.push_back({fault->line, QString::fromUtf8(fault->message ? fault->message : "").trimmed()});
}

} // namespace

RecoveredXml recoveredXml(const QByteArray& bytes) {
    RecoveredXml recovered;
    xmlSetStructuredErrorFunc(&recovered, note); // of this thread
    const std::unique_ptr<xmlDoc, void (*)(xmlDoc*)> document(
        xmlReadMemory(bytes.constData(), int(bytes.size()), nullptr, nullptr,
                      XML_PARSE_RECOVER | XML_PARSE_NONET | XML_PARSE_NOWARNING),
        xmlFreeDoc);
    xmlSetStructuredErrorFunc(nullptr, nullptr);
    if (!document)
        return recovered;
    xmlChar* text = nullptr;
    int size = 0;
    xmlDocDumpMemoryEnc(document.get(), &text, &size, "UTF-8");
    if (text)
        recovered.bytes = QByteArray(reinterpret_cast<const char*>(text), size);
    xmlFree(text);
    return recovered;
}

} // namespace mivanta
