// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// Loggers whose clock lies, that begin anew, that come late or break off: no row is lost, no pull is folded, and what
// was odd is said.

#include "cell/cell_service.h"
#include "formats/pull_journal.h"
#include "simcell_process.h"
#include "wait_for.h"

#include <algorithm>
#include <QTcpSocket>

using namespace hillrun;
using namespace Qt::StringLiterals;
using test::waitFor;
namespace fs = std::filesystem;

namespace {

const QByteArray kHeader = "time [s],engine_speed [rpm],torque [N.m],throttle [%]\n";

/// A logger at 100 rows a second that says what the test wants, and a service that listens to it, armed.
struct OddLogger {
    QTcpServer server;
    test::TemporaryFolder folder;
    CellService service;
    QTcpSocket* socket = nullptr;
    std::vector<RecordedPull> pulls;
    std::vector<DatedPull> dated;
    int dropped = 0;
    double shown_s = 10.0; ///< its clock
    double speed = 1500.0;
    int sent = 0;

    OddLogger() {
        REQUIRE(server.listen(QHostAddress::LocalHost, 0));
        QObject::connect(&service, &CellService::pullRecorded, &service,
                         [this](const RecordedPull& p) { pulls.push_back(p); });
        QObject::connect(&service, &CellService::pullDated, &service,
                         [this](const DatedPull& p) { dated.push_back(p); });
        QObject::connect(&service, &CellService::pullDropped, &service, [this] { ++dropped; });
        service.setLinks({*linkAddressFrom(u"tcp://127.0.0.1:%1"_s.arg(server.serverPort()))});
        PullRequest request;
        request.dayPath = folder.path();
        request.pull.id = "p01";
        request.pull.build = "A";
        request.pull.file = "pulls/p01.csv";
        service.arm(request);
        REQUIRE(waitFor([this] { return server.hasPendingConnections(); }));
        socket = server.nextPendingConnection();
    }
    void say(const QByteArray& bytes) {
        socket->write(bytes);
        socket->flush();
    }
    void row(double throttle) {
        shown_s += 0.01;
        say(QByteArray::number(shown_s, 'f', 2) + "," + QByteArray::number(speed) + ",80," +
            QByteArray::number(throttle) + "\n");
        ++sent;
    }
    void idle(int rows) {
        speed = 1500.0;
        for (int i = 0; i < rows; ++i)
            row(10.0);
    }
    void sweep(int rows) {
        for (int i = 0; i < rows; ++i) {
            speed += 5.0;
            row(100.0);
        }
    }
    void close(int rows = 230) {
        for (int i = 0; i < rows; ++i) {
            speed = std::max(1500.0, speed - 20.0);
            row(0.0);
        }
    }
    /// Idle, a sweep with something done in the middle of it, throttle closed.
    const RecordedPull& pullWith(const std::function<void()>& middle) {
        const size_t before = pulls.size();
        idle(300);
        sweep(300);
        middle();
        sweep(300);
        close();
        REQUIRE(waitFor([&] { return pulls.size() > before; }));
        return pulls.back();
    }
    [[nodiscard]] static bool isWhole(const RecordedPull& pull) {
        const auto& time = pull.pull.raw->find("time")->values;
        return std::is_sorted(time.begin(), time.end()) && time.back() < 12.0 && time.back() > 9.0;
    }
};

/// Rows of the sweep that arrived: speeds above idle, rising.
long sweepRows(const RecordedPull& pull) {
    const auto& throttle = pull.pull.raw->find("throttle")->values;
    return std::count(throttle.begin(), throttle.end(), 100.0);
}

} // namespace

TEST_CASE("one row from the future costs neither itself nor the pull nor the next one") {
    OddLogger logger;
    logger.say(kHeader);
    const RecordedPull& pull = logger.pullWith([&] { logger.say("1e9,3000,80,100\n"); });
    CHECK(sweepRows(pull) == 601);
    CHECK(OddLogger::isWhole(pull));
    CHECK(pull.end == PullEnd::ThrottleClosed);
    CHECK(pull.pull.note.find("The logger's clock jumped ahead 1 time") != std::string::npos);
    CHECK(readJournal(pull.journal).raw->rows() == pull.pull.raw->rows());
    const RecordedPull& next = logger.pullWith([] {});
    CHECK(next.pull.note.empty());
    CHECK(sweepRows(next) == 600);
}

TEST_CASE("a logger that begins anew in the middle of a pull is joined, with or without its header") {
    OddLogger logger;
    logger.say(kHeader);
    const bool header = GENERATE(false, true);
    const RecordedPull& pull = logger.pullWith([&] {
        logger.shown_s = 0.0;
        if (header)
            logger.say("#hill-run-telemetry 1\n" + kHeader);
    });
    CHECK(sweepRows(pull) == 600);
    CHECK(OddLogger::isWhole(pull));
    CHECK(pull.pull.note.find("The logger's clock ran back 1 time") != std::string::npos);
    CHECK(pull.pull.use);
}

TEST_CASE("a clock set ahead or back in the middle of a pull does not stretch it") {
    OddLogger logger;
    logger.say(kHeader);
    const double by = GENERATE(3600.0, -5.0);
    const RecordedPull& pull = logger.pullWith([&] { logger.shown_s += by; });
    CHECK(sweepRows(pull) == 600);
    CHECK(OddLogger::isWhole(pull));
    CHECK_FALSE(pull.pull.note.empty());
}

TEST_CASE("rows without a time, and cells that are none, keep what was measured") {
    OddLogger logger;
    logger.say(kHeader);
    const RecordedPull& pull = logger.pullWith(
        [&] { logger.say(",3000,80,100\n" + QByteArray::number(logger.shown_s + 0.01) + ",3000,ERR,100\n"); });
    CHECK(sweepRows(pull) == 602);
    CHECK(OddLogger::isWhole(pull));
    CHECK(pull.pull.note.find("missing in 1 row") != std::string::npos);
}

TEST_CASE("a pull that ran already when the connection came is marked") {
    OddLogger logger;
    logger.say(kHeader);
    logger.speed = 3000.0;
    logger.sweep(400);
    logger.close();
    REQUIRE(waitFor([&] { return logger.pulls.size() == 1; }));
    CHECK(logger.pulls[0].pull.note.find("Joined half-way") != std::string::npos);
    CHECK(logger.pullWith([] {}).pull.note.empty());
}

TEST_CASE("a clock line that comes during the pull, or after it, dates the pull") {
    OddLogger logger;
    logger.say(kHeader);
    SECTION("during") {
        const RecordedPull& pull = logger.pullWith(
            [&] { logger.say("#clock 2026-05-16T09:30:00+01:00 " + QByteArray::number(logger.shown_s) + "\n"); });
        CHECK(pull.pull.started == "2026-05-16T09:29:57+01:00"); // 3 s of sweep before it, half a second to be sure
        CHECK(pull.pull.note.find("Dated afterwards") != std::string::npos);
    }
    SECTION("after") {
        const RecordedPull& pull = logger.pullWith([] {});
        CHECK(pull.pull.started.substr(0, 10) != "2026-05-16");
        logger.say("#clock 2026-05-16T09:30:00+01:00 " + QByteArray::number(logger.shown_s) + "\n");
        REQUIRE(waitFor([&] { return logger.dated.size() == 1; }));
        CHECK(logger.dated[0].pull == "p01");
        CHECK(logger.dated[0].startedBefore == pull.pull.started);
        CHECK(logger.dated[0].started.starts_with("2026-05-16T09:29:5"));
    }
}

TEST_CASE("a pull that a lost link cuts comes set aside, with its reason") {
    OddLogger logger;
    logger.say(kHeader);
    logger.idle(300);
    logger.sweep(300);
    REQUIRE(waitFor([&] { return logger.service.now()->recorder == RecorderState::Running; }));
    QTest::qWait(200);
    logger.socket->close();
    REQUIRE(waitFor([&] { return logger.pulls.size() == 1; }));
    CHECK_FALSE(logger.pulls[0].pull.use);
    CHECK(logger.pulls[0].pull.reason == "connection lost during the pull");
    CHECK(sweepRows(logger.pulls[0]) == 300);
    CHECK(journalEnd(logger.pulls[0].journal) == "connection_lost");
}

TEST_CASE("what was too short for a pull keeps its journal") {
    OddLogger logger;
    logger.say(kHeader);
    logger.idle(300);
    logger.sweep(60);
    logger.close();
    REQUIRE(waitFor([&] { return logger.dropped == 1; }));
    const auto journals = findJournals(logger.folder.path());
    REQUIRE(journals.size() == 1);
    CHECK(journalEnd(journals[0]) == "too_short");
    const auto& throttle = readJournal(journals[0]).raw->find("throttle")->values;
    CHECK(std::count(throttle.begin(), throttle.end(), 100.0) == 60);
}
