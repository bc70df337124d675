// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include <string>

namespace hillrun {

/// Where a logbook lies: a file of one bench, or a server that several share.
struct LogbookAddress {
    bool onServer = false;
    std::string file; ///< of one bench
    std::string host; ///< of a server; empty: this machine's own
    int port = 0;     ///< 0: the usual one
    std::string name; ///< of the database
    std::string user; ///< empty: whoever runs the program
    /// The server library's own settings, as its address has them: "sslmode=require;service=cell".
    std::string options;

    [[nodiscard]] std::string text() const; ///< as people write it
};

/// "FILE" or "postgresql://[USER@]HOST[:PORT]/NAME[?SETTING=VALUE&...]". Passwords are not taken: the server's library
/// finds them in its own places. Throws DataError (BadValue).
LogbookAddress logbookAddress(const std::string& text);

/// HILLRUN_LOGBOOK where it is set, else a file in the user's data folder.
LogbookAddress defaultLogbook();

} // namespace hillrun
