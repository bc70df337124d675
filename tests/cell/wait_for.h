#pragma once

#include <functional>
#include <QtTest/QTest>

namespace hillrun::test {

/// Lets events run until the condition holds; false after limit_ms.
inline bool waitFor(const std::function<bool()>& condition, int limit_ms = 8000) {
    return QTest::qWaitFor(condition, limit_ms);
}

} // namespace hillrun::test
