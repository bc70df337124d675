// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#pragma once

#include "words/voice.h"

namespace hillrun {

/// The voice of this program: English until it is set. Any thread may ask.
Voice currentVoice();
void setCurrentVoice(const Voice& voice);
/// Said in it.
std::string said(const Statement& statement);
std::string said(const std::vector<Statement>& statements);
std::string said(const char* id, std::vector<Argument> holes = {});
std::string said(const std::exception& error);

} // namespace hillrun
