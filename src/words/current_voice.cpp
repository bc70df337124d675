// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "words/current_voice.h"

#include <mutex>

namespace hillrun {
namespace {

std::mutex& guard() {
    static std::mutex kGuard;
    return kGuard;
}

Voice& kept() {
    static Voice kVoice;
    return kVoice;
}

} // namespace

Voice currentVoice() {
    const std::lock_guard lock(guard());
    return kept();
}

void setCurrentVoice(const Voice& voice) {
    const std::lock_guard lock(guard());
    kept() = voice;
}

std::string said(const Statement& statement) { return currentVoice().say(statement); }
std::string said(const std::vector<Statement>& statements) { return currentVoice().say(statements); }
std::string said(const char* id, std::vector<Argument> holes) { return said(Statement{id, std::move(holes)}); }
std::string said(const std::exception& error) { return currentVoice().say(error); }

} // namespace hillrun
