// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "words/catalogue.h"

#include "words/catalogue_bytes.h"

#include <algorithm>
#include <boost/locale/gnu_gettext.hpp>
#include <boost/locale/message.hpp>
#include <limits>

namespace hillrun {
namespace {

using Messages = boost::locale::message_format<char>;

std::locale messagesOf(Language language) {
    boost::locale::gnu_gettext::messages_info info;
    info.language = languageCode(language);
    info.encoding = "UTF-8";
    info.domains.emplace_back("hillrun");
    info.paths.emplace_back(languageCode(language));
    info.callback = [&](const std::string&, const std::string&) {
        const std::string_view bytes = catalogueBytes(languageCode(language));
        return std::vector<char>(bytes.begin(), bytes.end());
    };
    return {std::locale::classic(), boost::locale::gnu_gettext::create_messages_facet<char>(info)};
}

} // namespace

Catalogue::Catalogue(Language language) : m_messages(messagesOf(language)) {}

const char* Catalogue::text(const std::string& id) const {
    return std::use_facet<Messages>(m_messages).get(0, nullptr, id.c_str());
}

const char* Catalogue::text(const std::string& id, long count) const {
    const int number = static_cast<int>(std::min<long>(count, std::numeric_limits<int>::max()));
    return std::use_facet<Messages>(m_messages).get(0, nullptr, id.c_str(), number);
}

} // namespace hillrun
