// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers

// Links against the real hillrun-simcell on loopback, and against a socket that says what the test wants.

#include "cell/cell_service.h"
#include "cell/link_tester.h"
#include "formats/day_store.h"
#include "formats/nmea.h"
#include "formats/pull_journal.h"
#include "formats/register_map.h"
#include "simcell_process.h"
#include "wait_for.h"

#include <QTcpSocket>

using namespace hillrun;
using namespace Qt::StringLiterals;
using test::Simcell;
using test::waitFor;

namespace {

LinkAddress address(const QString& text) {
    const auto out = linkAddressFrom(text);
    REQUIRE(out);
    return *out;
}

/// A cell or station that says exactly what the test wants.
struct Talker {
    QTcpServer server;
    QTcpSocket* socket = nullptr;
    Talker() { REQUIRE(server.listen(QHostAddress::LocalHost, 0)); }
    [[nodiscard]] QString url(const QString& scheme) const {
        return u"%1://127.0.0.1:%2"_s.arg(scheme).arg(server.serverPort());
    }
    void accept() {
        REQUIRE(waitFor([this] { return server.hasPendingConnections(); }));
        socket = server.nextPendingConnection();
    }
    void say(const QByteArray& bytes) {
        socket->write(bytes);
        socket->flush();
    }
};

/// What came of a pull.
struct Listener {
    CellService service;
    std::vector<RecordedPull> pulls;
    Listener() {
        QObject::connect(&service, &CellService::pullRecorded, &service,
                         [this](const RecordedPull& pull) { pulls.push_back(pull); });
    }
    [[nodiscard]] const LinkStatus* link(size_t at = 0) const {
        return service.now()->links.size() > at ? &service.now()->links[at] : nullptr;
    }
};

PullRequest requestIn(const std::filesystem::path& day) {
    PullRequest request;
    request.dayPath = day;
    request.pull.id = "p01";
    request.pull.build = "A";
    request.pull.file = "pulls/p01.csv";
    return request;
}

} // namespace

TEST_CASE("a pull comes in over TCP, with the weather of the station and the cell's clock") {
    Simcell cell({u"--tcp"_s, u"0"_s, u"--nmea-tcp"_s, u"0"_s, u"--speed"_s, u"10"_s});
    test::TemporaryFolder folder;
    Listener live;
    live.service.setLinks(
        {address(u"tcp://"_s + cell.place(u"telemetry"_s)), address(u"nmea-tcp://"_s + cell.place(u"nmea"_s))});
    REQUIRE(waitFor([&] { return live.service.now()->weather.atmosphere() && !live.service.now()->stale; }));
    CHECK(live.service.now()->values.size() >= 18);
    live.service.arm(requestIn(folder.path()));
    cell.say(u"start"_s);
    QTest::qWait(300);
    cell.say(u"pull"_s);
    REQUIRE(waitFor([&] { return live.service.now()->recorder == RecorderState::Running; }));
    REQUIRE(waitFor([&] { return !live.service.now()->traceSpeed_rpm.empty(); }));
    REQUIRE(waitFor([&] { return live.pulls.size() == 1; }));
    const RecordedPull& pull = live.pulls.front();
    CHECK(pull.end == PullEnd::ThrottleClosed);
    REQUIRE(pull.pull.weather);
    CHECK(pull.pull.weather->pressure_pa == Approx(98420.0).margin(100.0));
    CHECK(pull.pull.started.substr(0, 13) == "2026-05-16T09"); // the cell's clock, not this machine's
    CHECK(pull.pull.raw->find("engine_speed")->values.size() > 1200);
    // The journal holds the same rows until it is told to go.
    const Pull journal = readJournal(pull.journal);
    CHECK(journal.raw->rows() == pull.pull.raw->rows());
    CHECK(journal.raw->find("torque")->values[700] == pull.pull.raw->find("torque")->values[700]);
}

TEST_CASE("a pull comes in over a serial line") {
    Simcell cell({u"--pty"_s, u"--speed"_s, u"10"_s});
    test::TemporaryFolder folder;
    Listener live;
    live.service.setLinks({address(u"serial:"_s + cell.place(u"pty"_s))});
    REQUIRE(waitFor([&] { return !live.service.now()->stale; }));
    live.service.arm(requestIn(folder.path()));
    cell.say(u"start"_s);
    QTest::qWait(300);
    cell.say(u"pull"_s);
    REQUIRE(waitFor([&] { return live.pulls.size() == 1; }));
    CHECK(live.pulls.front().pull.raw->rows() > 1200);
    CHECK(live.link()->bad <= 1); // joined in the middle of a line
}

TEST_CASE("slow channels and weather come in over Modbus") {
    const int port = test::freePort();
    Simcell cell({u"--modbus-tcp"_s, QString::number(port)});
    Listener live;
    live.service.setLinks({address(u"modbus-tcp://127.0.0.1:%1"_s.arg(port))});
    REQUIRE(waitFor(
        [&] { return live.service.now()->find("oil_temperature") && live.service.now()->weather.atmosphere(); }));
    CHECK(live.service.now()->find("oil_temperature")->value == Approx(66.0).margin(3.0));
    CHECK(live.service.now()->weather.pressure_kpa.value() == Approx(98.42).margin(0.05));
    CHECK(live.service.now()->weather.temperature_c.value() == Approx(15.8).margin(0.1));
    cell.say(u"weather -3.5 91.25 80"_s);
    REQUIRE(waitFor([&] { return live.service.now()->weather.temperature_c.value() < 0.0; }));
    CHECK(live.service.now()->weather.temperature_c.value() == Approx(-3.5).margin(0.02));
    CHECK(live.service.now()->weather.pressure_kpa.value() == Approx(91.25).margin(0.02));
    CHECK(live.service.now()->weather.humidity_pct.value() == Approx(80.0).margin(0.2));
}

TEST_CASE("a limit that is passed is told while the pull runs, and stands in its note") {
    test::TemporaryFolder folder;
    Simcell cell({u"--tcp"_s, u"0"_s, u"--speed"_s, u"5"_s});
    Listener live;
    live.service.setLinks({address(u"tcp://"_s + cell.place(u"telemetry"_s))});
    PullRequest request = requestIn(folder.path());
    request.limits = {{"oil_pressure", LimitSide::Below, 150.0}, {"coolant_temperature", LimitSide::Above, 110.0}};
    live.service.arm(request);
    REQUIRE(waitFor([&] { return !live.service.now()->stale; }));
    cell.say(u"start"_s);
    QTest::qWait(300);
    cell.ask(u"fault oil_starved 4000 300"_s);
    cell.say(u"pull"_s);
    REQUIRE(waitFor([&] { return !live.service.now()->passed.empty(); }));
    const LiveSnapshotPtr now = live.service.now();
    CHECK(now->recorder == RecorderState::Running);
    REQUIRE(now->passed.size() == 1);
    CHECK(now->passed.front().limit.channel == "oil_pressure");
    CHECK(now->passed.front().value <= 150.0);
    REQUIRE(waitFor([&] { return live.pulls.size() == 1; }, 15000));
    CHECK(live.pulls.front().pull.note.find("Oil pressure") != std::string::npos);
    CHECK(live.pulls.front().pull.note.find("limit 150") != std::string::npos);
    CHECK(readFileText(live.pulls.front().journal).find("#Oil pressure") != std::string::npos);
    REQUIRE(waitFor([&] { return live.service.now()->passed.empty(); })); // the next pull begins anew
    cell.say(u"clear"_s);
    QTest::qWait(1500);
    cell.say(u"pull"_s);
    REQUIRE(waitFor([&] { return live.pulls.size() == 2; }, 15000));
    CHECK(live.pulls.back().pull.note.find("Oil") == std::string::npos);
}

TEST_CASE("a register is watched too") {
    test::TemporaryFolder folder;
    const int port = test::freePort();
    Simcell cell({u"--tcp"_s, u"0"_s, u"--modbus-tcp"_s, QString::number(port)});
    writeFileSafely(folder.path() / "map.json",
                    R"({"format": "hill-run-registers", "version": 1, "registers": [
                        {"channel": "gearbox_temperature", "unit": "C", "address": 1, "scale": 0.1, "signed": true}]})");
    Listener live;
    live.service.setLinks({address(u"tcp://"_s + cell.place(u"telemetry"_s)),
                           address(u"modbus-tcp://127.0.0.1:%1?map=%2"_s.arg(port).arg(
                               QString::fromStdString((folder.path() / "map.json").string())))});
    REQUIRE(waitFor([&] { return live.service.now()->find("gearbox_temperature") && !live.service.now()->stale; }));
    PullRequest request = requestIn(folder.path());
    request.limits = {{"gearbox_temperature", LimitSide::Above, 40.0}}; // it has 66
    live.service.arm(request);
    QTest::qWait(2000);
    CHECK(live.service.now()->passed.empty()); // no pull runs
    live.service.startByHand();
    REQUIRE(waitFor([&] { return live.service.now()->passed.size() == 1; }, 12000));
    live.service.endByHand();
    REQUIRE(waitFor([&] { return live.pulls.size() == 1; }));
    CHECK(live.pulls.front().pull.note.find("limit 40") != std::string::npos);
}

TEST_CASE("a register map of one's own is followed, a broken one is told") {
    const int port = test::freePort();
    Simcell cell({u"--modbus-tcp"_s, QString::number(port)});
    test::TemporaryFolder folder;
    writeFileSafely(folder.path() / "map.json",
                    R"({"format": "hill-run-registers", "version": 1, "registers": [
                        {"channel": "gearbox_temperature", "unit": "C", "address": 1, "scale": 0.1, "signed": true}]})");
    Listener live;
    live.service.setLinks({address(u"modbus-tcp://127.0.0.1:%1?map=%2"_s.arg(port).arg(
        QString::fromStdString((folder.path() / "map.json").string())))});
    REQUIRE(waitFor([&] { return live.service.now()->find("gearbox_temperature"); }));
    CHECK(live.service.now()->find("gearbox_temperature")->value == Approx(66.0).margin(3.0));
    live.service.setLinks({address(u"modbus-tcp://127.0.0.1:%1?map=/nowhere.json"_s.arg(port))});
    REQUIRE(waitFor([&] { return live.link() && live.link()->state == LinkState::Lost; }));
    CHECK(live.link()->words.contains(u"nowhere.json"_s));
}

TEST_CASE("a link that is cut comes back by itself") {
    test::TemporaryFolder folder;
    const int port = test::freePort();
    const QStringList arguments{u"--tcp"_s, QString::number(port), u"--speed"_s, u"4"_s};
    auto cell = std::make_unique<Simcell>(arguments);
    Listener live;
    live.service.setLinks({address(u"tcp://127.0.0.1:%1"_s.arg(port))});
    live.service.arm(requestIn(folder.path()));
    REQUIRE(waitFor([&] { return !live.service.now()->stale; }));
    cell->say(u"start"_s);
    QTest::qWait(300);
    cell->say(u"pull"_s);
    REQUIRE(waitFor([&] { return live.service.now()->recorder == RecorderState::Running; }));
    QTest::qWait(600);
    cell->kill(); // the cable is pulled in the middle of the pull
    REQUIRE(waitFor([&] { return live.pulls.size() == 1; }));
    CHECK(live.pulls.front().end == PullEnd::LinkLost);
    CHECK(live.pulls.front().pull.note.find("Connection lost") != std::string::npos);
    CHECK(live.pulls.front().pull.raw->rows() > 200);
    REQUIRE(waitFor([&] { return live.link()->state == LinkState::Lost; }));
    CHECK_FALSE(live.link()->words.isEmpty());
    cell = std::make_unique<Simcell>(arguments);
    REQUIRE(waitFor([&] { return live.link()->state == LinkState::Connected && !live.service.now()->stale; }));
    cell->say(u"start"_s);
    QTest::qWait(300);
    cell->say(u"pull"_s);
    REQUIRE(waitFor([&] { return live.pulls.size() == 2; }));
    CHECK(live.pulls.back().end == PullEnd::ThrottleClosed);
}

TEST_CASE("the fault of the cell that drops the connection for three seconds") {
    test::TemporaryFolder folder;
    Simcell cell({u"--tcp"_s, u"0"_s, u"--speed"_s, u"4"_s});
    Listener live;
    live.service.setLinks({address(u"tcp://"_s + cell.place(u"telemetry"_s))});
    live.service.arm(requestIn(folder.path()));
    REQUIRE(waitFor([&] { return !live.service.now()->stale; }));
    cell.say(u"start"_s);
    QTest::qWait(300);
    cell.ask(u"fault lost_connection 5000"_s);
    cell.say(u"pull"_s);
    REQUIRE(waitFor([&] { return live.pulls.size() == 1; }));
    CHECK(live.pulls.front().end == PullEnd::LinkLost);
    const auto& speed = live.pulls.front().pull.raw->find("engine_speed")->values;
    CHECK(speed.back() == Approx(5000.0).margin(120.0));
    REQUIRE(waitFor([&] { return live.link()->state == LinkState::Connected && !live.service.now()->stale; }));
}

TEST_CASE("garbage and partial lines are counted, told and left out") {
    Talker cell;
    Listener live;
    live.service.setLinks({address(cell.url(u"tcp"_s))});
    cell.accept();
    cell.say("\x01\x02garbage\n#hill-run-telemetry 1\ntime [s],engine_speed [rpm],torque [N.m]\n1.00,2000,");
    cell.say("50\n1.01,20");
    cell.say("05,51\n1.02,oops,52\n1.03,2010\n\xff\xfe\xfd\n1.04,2015,53\n");
    REQUIRE(waitFor([&] { return live.link() && live.link()->heard == 4; }));
    CHECK(live.link()->bad >= 3);
    CHECK_FALSE(live.link()->lastBad.isEmpty());
    CHECK(live.service.now()->find("torque")->value == 53.0);
    CHECK(live.link()->state == LinkState::Connected);
}

TEST_CASE("weather sentences with wrong checksums are counted and left out") {
    Talker station;
    Listener live;
    live.service.setLinks({address(station.url(u"nmea-tcp"_s))});
    station.accept();
    station.say("$WIXDR,C,44.4,C,TEMP*00\r\nnonsense\r\n");
    station.say(QByteArray::fromStdString(nmeaSentence("WIXDR,C,18.5,C,TEMP,P,0.9842,B,BARO,H,55,P,RH")) + "\r\n");
    REQUIRE(waitFor([&] { return live.service.now()->weather.atmosphere().has_value(); }));
    CHECK(live.service.now()->weather.temperature_c == 18.5);
    CHECK(live.link()->bad == 2);
}

TEST_CASE("a stream that falls silent is stale, and ends the pull it was in") {
    Talker cell;
    test::TemporaryFolder folder;
    Listener live;
    live.service.setLinks({address(cell.url(u"tcp"_s))});
    live.service.arm(requestIn(folder.path()));
    cell.accept();
    cell.say("time [s],engine_speed [rpm],torque [N.m],throttle [%]\n");
    double speed = 2000.0;
    for (int i = 0; i < 300; ++i) {
        speed += i > 100 ? 8.0 : 0.0;
        cell.say(QByteArray::number(0.01 * i) + "," + QByteArray::number(speed) + ",80," + (i > 80 ? "100" : "10") +
                 "\n");
    }
    REQUIRE(waitFor([&] { return live.service.now()->recorder == RecorderState::Running; }));
    REQUIRE(waitFor([&] { return live.service.now()->stale; }));
    REQUIRE(waitFor([&] { return live.pulls.size() == 1; }));
    CHECK(live.pulls.front().end == PullEnd::LinkLost);
    CHECK(live.pulls.front().pull.raw->rows() > 150);
}

TEST_CASE("a journal that cannot be written is told while the pull goes on in memory") {
    Simcell cell({u"--tcp"_s, u"0"_s, u"--speed"_s, u"10"_s});
    Listener live;
    live.service.setLinks({address(u"tcp://"_s + cell.place(u"telemetry"_s))});
    live.service.arm(requestIn("/proc/nowhere"));
    REQUIRE(waitFor([&] { return !live.service.now()->stale; }));
    cell.say(u"start"_s);
    QTest::qWait(300);
    cell.say(u"pull"_s);
    REQUIRE(waitFor([&] { return !live.service.now()->journalProblem.empty(); }));
    REQUIRE(waitFor([&] { return live.pulls.size() == 1; }));
    CHECK_FALSE(live.pulls.front().journalProblem.empty());
    CHECK(live.pulls.front().pull.raw->rows() > 1200);
}

TEST_CASE("the test of a connection says in words what it received") {
    Simcell cell({u"--tcp"_s, u"0"_s, u"--nmea-tcp"_s, u"0"_s});
    const auto wordsOf = [](const QString& where) {
        QString out;
        LinkTester tester(address(where));
        QObject::connect(&tester, &LinkTester::done, [&](bool, const QString& words) { out = words; });
        waitFor([&] { return !out.isEmpty(); });
        return out;
    };
    CHECK(wordsOf(u"tcp://"_s + cell.place(u"telemetry"_s)).contains(u"channels at"_s));
    const QString weather = wordsOf(u"nmea-tcp://"_s + cell.place(u"nmea"_s));
    CHECK(weather.contains(u"98.42 kPa"_s));
    CHECK(wordsOf(u"tcp://127.0.0.1:%1"_s.arg(test::freePort())).startsWith(u"Not connected"_s));
    CHECK(wordsOf(u"serial:/dev/no-such-port"_s).startsWith(u"Not connected"_s));
    CHECK(wordsOf(u"tcp://"_s + cell.place(u"nmea"_s)).contains(u"could not be used"_s)); // the wrong kind of line
}

TEST_CASE("a frozen channel is seen while it happens") {
    Simcell cell({u"--tcp"_s, u"0"_s, u"--speed"_s, u"5"_s});
    Listener live;
    live.service.setLinks({address(u"tcp://"_s + cell.place(u"telemetry"_s))});
    REQUIRE(waitFor([&] { return !live.service.now()->stale; }));
    cell.say(u"start"_s);
    QTest::qWait(1500);
    for (const LiveValue& value : live.service.now()->values) {
        INFO(value.channel);
        CHECK(value.state == ChannelState::Good);
    }
    cell.ask(u"fault frozen 3000 0 exhaust_gas_temperature"_s);
    cell.say(u"pull"_s);
    CHECK(waitFor([&] { return live.service.now()->find("exhaust_gas_temperature")->state == ChannelState::Frozen; }));
}
