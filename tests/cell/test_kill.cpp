// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// The real window and the real cell: hillrun is killed with -9 in the middle of a pull, 52 times, and when the disk is
// full. This test listens to the same stream and notes when each row arrived. Rows are told apart by the engine speed,
// which rises by 5 rpm from row to row. Lost is the time from the arrival of the first row that is not on disk to the
// kill. Where that is too much, the failure says for how long the machine itself stood still meanwhile.

#include "app/files/day_files.h"
#include "formats/day_store.h"
#include "formats/pull_journal.h"
#include "formats/telemetry.h"
#include "simcell_process.h"

#include <chrono>
#include <fmt/format.h>
#include <fstream>
#include <mutex>
#include <QElapsedTimer>
#include <QTcpSocket>
#include <random>
#include <thread>

using namespace hillrun;
using namespace Qt::StringLiterals;
using test::Simcell;
namespace fs = std::filesystem;

namespace {

/// Reads the same stream as the windows and notes when each row came.
class Witness {
public:
    explicit Witness(int port)
        : m_parser(
              {.header = {},
               .frame = [this](double, std::span<const double> v) { m_seen.emplace_back(m_clock.elapsed(), v[1]); },
               .comment = {},
               .problem = {}}) {
        m_clock.start();
        m_socket.connectToHost(u"127.0.0.1"_s, static_cast<quint16>(port));
        REQUIRE(m_socket.waitForConnected(3000));
        QObject::connect(&m_socket, &QTcpSocket::readyRead, &m_socket, [this] {
            const QByteArray bytes = m_socket.readAll();
            m_parser.feed({bytes.constData(), static_cast<size_t>(bytes.size())});
        });
    }
    [[nodiscard]] double speed() const { return m_seen.empty() ? 0.0 : m_seen.back().second; }
    [[nodiscard]] qint64 now_ms() const { return m_clock.elapsed(); }
    /// Seconds from the arrival of the first row above this speed to that moment; 0 when none came before it.
    [[nodiscard]] double secondsFromRowAbove(double speed_rpm, qint64 moment_ms) const {
        for (const auto& [at_ms, seen_rpm] : m_seen)
            if (seen_rpm > speed_rpm + 2.5)
                return 0.001 * static_cast<double>(std::max<qint64>(0, moment_ms - at_ms));
        return 0.0;
    }

private:
    QTcpSocket m_socket;
    QElapsedTimer m_clock;
    std::vector<std::pair<qint64, double>> m_seen;
    TelemetryParser m_parser;
};

/// Writes a line every few milliseconds and notes how much longer that took.
class Standstill {
public:
    Standstill() : m_thread([this](const std::stop_token& stop) { run(stop); }) {}
    /// The longest of the last seconds.
    [[nodiscard]] double longest_s(double last_s) {
        const auto from = Clock::now() - std::chrono::duration<double>(last_s);
        const std::lock_guard lock(m_mutex);
        double out = 0.0;
        for (const auto& [at, gap_s] : m_gaps)
            if (at >= from)
                out = std::max(out, gap_s);
        return out;
    }

private:
    using Clock = std::chrono::steady_clock;
    static constexpr double kBeat_s = 0.005;
    static constexpr double kNoted_s = 0.02; ///< less is the usual jitter

    void run(const std::stop_token& stop) {
        std::ofstream file(m_folder.path() / "beats");
        for (auto last = Clock::now(); !stop.stop_requested();) {
            std::this_thread::sleep_for(std::chrono::duration<double>(kBeat_s));
            file << "beat" << std::endl;
            const auto now = Clock::now();
            const double gap_s = std::chrono::duration<double>(now - last).count() - kBeat_s;
            last = now;
            const std::lock_guard lock(m_mutex);
            if (gap_s > kNoted_s)
                m_gaps.emplace_back(now, gap_s);
        }
    }

    test::TemporaryFolder m_folder;
    std::mutex m_mutex;
    std::vector<std::pair<Clock::time_point, double>> m_gaps;
    std::jthread m_thread; ///< last: it uses the others
};

/// One window on a day of its own, connected and armed.
class Window {
public:
    Window(int port, const QString& prefix = {}) {
        TestDay day;
        day.name = "Kill";
        day.builds = {{.id = "A"}, {.id = "B"}};
        m_day = m_folder.path() / "day";
        saveDay(day, m_day);
        QProcessEnvironment environment = QProcessEnvironment::systemEnvironment();
        for (const char* variable : {"HOME", "XDG_RUNTIME_DIR", "XDG_CONFIG_HOME", "XDG_DATA_HOME", "XDG_STATE_HOME"})
            environment.insert(QString::fromLatin1(variable), QString::fromStdString(m_folder.path().string()));
        m_process.setProcessEnvironment(environment);
        const QString command = u"%1 exec %2 %3 --page pull --connect tcp://127.0.0.1:%4 --arm"_s
                                    .arg(prefix, test::programPath("hillrun"), QString::fromStdString(m_day.string()))
                                    .arg(port);
        m_process.start(u"sh"_s, {u"-c"_s, command});
        REQUIRE(m_process.waitForStarted());
    }
    ~Window() { kill(); }
    void kill() {
        m_process.kill(); // SIGKILL
        m_process.waitForFinished();
    }
    [[nodiscard]] bool runs() const { return m_process.state() == QProcess::Running; }
    [[nodiscard]] const fs::path& day() const { return m_day; }

private:
    test::TemporaryFolder m_folder;
    fs::path m_day;
    QProcess m_process;
};

void waitForListeners(Simcell& cell, int count) {
    const QString wanted = u"listeners %1"_s.arg(count);
    REQUIRE(QTest::qWaitFor(
        [&] {
            QTest::qWait(50);
            return cell.ask(u"status"_s).endsWith(wanted);
        },
        15000));
}

double lastSpeed(const Pull& pull) { return pull.raw->find("engine_speed")->values.back(); }

} // namespace

TEST_CASE("killed in the middle of a pull, a window loses a tenth of a second at most") {
    constexpr int kRounds = 26;
    constexpr int kWindows = 2; // more would fight for the processor, and the test measures a tenth of a second
    std::mt19937 random(7);
    std::uniform_real_distribution<double> moment_rpm(3300.0, 5600.0);
    Standstill machine;
    double worst_s = 0.0;
    double sum_s = 0.0;
    int kills = 0;
    for (int round = 0; round < kRounds; ++round) {
        Simcell cell({u"--tcp"_s, u"0"_s, u"--speed"_s, u"2"_s});
        const int port = cell.port(u"telemetry"_s);
        std::vector<std::unique_ptr<Window>> windows;
        for (int i = 0; i < kWindows; ++i)
            windows.push_back(std::make_unique<Window>(port));
        Witness witness(port);
        waitForListeners(cell, kWindows + 1);
        cell.say(u"start"_s);
        QTest::qWait(1500); // the windows read their days and arm
        cell.say(u"pull"_s);
        std::vector<double> moments;
        for (int i = 0; i < kWindows; ++i)
            moments.push_back(moment_rpm(random));
        std::sort(moments.begin(), moments.end());
        for (int i = 0; i < kWindows; ++i) {
            const double at = moments[static_cast<size_t>(i)];
            REQUIRE(QTest::qWaitFor([&] { return witness.speed() >= at; }, 15000));
            REQUIRE(windows[static_cast<size_t>(i)]->runs());
            const double seen = witness.speed();
            const qint64 killed_ms = witness.now_ms();
            const double stood_s = machine.longest_s(1.5);
            windows[static_cast<size_t>(i)]->kill();
            const fs::path day = windows[static_cast<size_t>(i)]->day();
            const auto left = leftPulls(day, readDay(day));
            INFO("round " << round << ", window " << i << ", killed at " << seen << " rpm, the machine stood still for "
                          << stood_s << " s");
            REQUIRE(left.size() == 1);
            const double lost_s = witness.secondsFromRowAbove(lastSpeed(left.front().pull), killed_ms);
            worst_s = std::max(worst_s, lost_s);
            sum_s += lost_s;
            ++kills;
            CHECK(lost_s <= 0.1);
            CHECK(left.front().pull.raw->rows() > 200); // with the two seconds before
        }
    }
    fmt::print("{} kills: lost {:.3f} s on average, {:.3f} s at worst\n", kills, sum_s / kills, worst_s);
    CHECK(kills >= 50);
}

TEST_CASE("when the disk is full the window lives on, and what reached the disk can be recovered") {
    Simcell cell({u"--tcp"_s, u"0"_s});
    const int port = cell.port(u"telemetry"_s);
    Window window(port, u"ulimit -f 64;"_s); // 32 kB for any file stands for a full disk
    waitForListeners(cell, 1);
    cell.say(u"start"_s);
    QTest::qWait(1200);
    cell.say(u"pull"_s);
    Witness witness(port);
    REQUIRE(QTest::qWaitFor([&] { return witness.speed() >= 6500.0; }, 20000));
    CHECK(window.runs());
    window.kill();
    const auto left = leftPulls(window.day(), readDay(window.day()));
    REQUIRE(left.size() == 1);
    const auto size = fs::file_size(left.front().journal);
    CHECK(size <= 32768);
    CHECK(size > 30000);
    CHECK(left.front().pull.raw->rows() > 250);
}
