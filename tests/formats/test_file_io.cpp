// SPDX-License-Identifier: GPL-3.0-only
// Copyright (C) 2026 The Hill Run developers
#include "formats/file_io.h"

#include "support.h"

#include <catch2/catch.hpp>
#include <csignal>
#include <fstream>
#include <sys/resource.h>
#include <sys/socket.h>
#include <sys/stat.h>
#include <sys/un.h>
#include <sys/wait.h>

using namespace hillrun;
namespace fs = std::filesystem;

namespace {

std::vector<std::string> namesIn(const fs::path& folder) {
    std::vector<std::string> out;
    for (const auto& entry : fs::directory_iterator(folder))
        out.push_back(entry.path().filename().string());
    std::sort(out.begin(), out.end());
    return out;
}

} // namespace

TEST_CASE("checksums are those of the standard's examples") {
    // FIPS 180-4, examples of the Secure Hash Standard: "abc" and the two-block message.
    CHECK(sha256Hex("abc") == "ba7816bf8f01cfea414140de5dae2223b00361a396177a9cb410ff61f20015ad");
    CHECK(sha256Hex("abcdbcdecdefdefgefghfghighijhijkijkljklmklmnlmnomnopnopq") ==
          "248d6a61d20638b8e5c026930c3e6039a33ce45964ff2167f6ecedd419db06c1");
}

TEST_CASE("only regular files are read, and nothing is waited for") {
    const test::TemporaryFolder folder;
    const auto message = [&](const fs::path& path) { return test::messageOf([&] { (void)readFileText(path); }); };
    REQUIRE(::mkfifo((folder.path() / "pipe").c_str(), 0600) == 0);
    CHECK(message(folder.path() / "pipe").find("this is a pipe") != std::string::npos);
    CHECK(message("/dev/zero").find("this is a device") != std::string::npos);
    CHECK(message(folder.path()).find("it is a folder") != std::string::npos);
    CHECK(message(folder.path() / "none").find("is missing") != std::string::npos);
    CHECK(message(folder.path() / std::string(300, 'x')).find("File name too long") != std::string::npos);
    const int socket = ::socket(AF_UNIX, SOCK_STREAM, 0);
    sockaddr_un address{};
    address.sun_family = AF_UNIX;
    const std::string place = (folder.path() / "s").string();
    std::copy(place.begin(), place.end(), address.sun_path);
    REQUIRE(::bind(socket, reinterpret_cast<const sockaddr*>(&address), sizeof address) == 0);
    CHECK(message(place).find("socket") != std::string::npos);
    ::close(socket);
    writeFileSafely(folder.path() / "real", "text");
    fs::create_symlink(folder.path() / "real", folder.path() / "link");
    CHECK(readFileText(folder.path() / "link") == "text"); // a file that the user names may be a link
    CHECK(test::messageOf([&] { (void)readFileInside(folder.path(), "link"); }).find("this is a link") !=
          std::string::npos);
    fs::create_directory_symlink(folder.path(), folder.path() / "loop");
    CHECK(test::messageOf([&] { (void)readFileInside(folder.path(), "loop/real"); }).find("this is a link") !=
          std::string::npos);
}

TEST_CASE("a file that is too large is refused by its size, and while it grows") {
    const test::TemporaryFolder folder;
    writeFileSafely(folder.path() / "a", std::string(1000, 'a'));
    CHECK(readFileText(folder.path() / "a", 1000).size() == 1000);
    CHECK(test::messageOf([&] { (void)readFileText(folder.path() / "a", 999); }).find("1000 B") != std::string::npos);
    CHECK_FALSE(readFileText("/proc/self/status").empty()); // says that it has no size
    CHECK(test::messageOf([] { (void)readFileText("/proc/self/status", 10); }).find("more than is taken") !=
          std::string::npos);
}

TEST_CASE("a new file is never written over another") {
    const test::TemporaryFolder folder;
    CHECK(writeNewFile(folder.path() / "a", "first"));
    CHECK_FALSE(writeNewFile(folder.path() / "a", "second"));
    CHECK(readFileText(folder.path() / "a") == "first");
    fs::create_symlink("nowhere", folder.path() / "b");
    CHECK_FALSE(writeNewFile(folder.path() / "b", "third")); // not through a dangling link either
    CHECK(fs::is_symlink(folder.path() / "b"));
    CHECK(namesIn(folder.path()) == std::vector<std::string>{"a", "b"});
}

TEST_CASE("when the disk refuses, the old file stays and no part is left") {
    const test::TemporaryFolder folder;
    writeFileSafely(folder.path() / "a", "old");
    const pid_t child = ::fork();
    if (child == 0) {
        std::signal(SIGXFSZ, SIG_IGN);
        const rlimit limit{4096, 4096};
        ::setrlimit(RLIMIT_FSIZE, &limit);
        const bool over = test::messageOf([&] {
                              writeFileSafely(folder.path() / "a", std::string(9000, 'n'));
                          }).find("cannot write (File too large)") != std::string::npos;
        const bool fresh =
            test::messageOf([&] { (void)writeNewFile(folder.path() / "c", std::string(9000, 'n')); }) != "nothing";
        ::_exit(over && fresh ? 0 : 1);
    }
    int status = 0;
    REQUIRE(::waitpid(child, &status, 0) == child);
    CHECK(WEXITSTATUS(status) == 0);
    CHECK(readFileText(folder.path() / "a") == "old");
    CHECK(namesIn(folder.path()) == std::vector<std::string>{"a"});
}

TEST_CASE("parts of processes that are no more are cleared, others stay") {
    const test::TemporaryFolder folder;
    const pid_t gone = ::fork();
    if (gone == 0)
        ::_exit(0);
    ::waitpid(gone, nullptr, 0);
    const std::string mine = ".hillrun-" + std::to_string(::getpid()) + "-0.part";
    for (const std::string& name : {".hillrun-" + std::to_string(gone) + "-3.part", mine, std::string("x.part")})
        std::ofstream(folder.path() / name) << "half";
    removeStaleParts(folder.path());
    CHECK(namesIn(folder.path()) == std::vector<std::string>{mine, "x.part"});
}

TEST_CASE("names inside a day, as a table") {
    struct Row {
        std::string name;
        const char* problem; ///< part of the message; empty: good
    };
    const Row rows[] = {
        {"pulls/p01.csv", "nothing"},
        {"pulls/p\xC3\xBCll.csv", "nothing"},
        {"deep/er/p01.csv", "nothing"},
        {"", "points outside"},
        {"/etc/passwd", "points outside"},
        {"pulls/../../x", "points outside"},
        {"..", "points outside"},
        {"day.json", "no file of a pull"},
        {"./day.json", "no file of a pull"},
        {"pulls/", "no file of a pull"},
        {"pulls/a\nb.csv", "control character"},
        {"pulls/" + std::string(251, 'x') + ".csv", "nothing"},
        {"pulls/" + std::string(252, 'x') + ".csv", "longer than 255 B"},
        {[] {
             std::string deep;
             for (int i = 0; i < 251; ++i)
                 deep += "a/bc";
             return deep;
         }(),
         "longer than 1000 B"},
    };
    for (const Row& row : rows) {
        const std::string message = test::messageOf([&] { checkInside(row.name, "day.json"); });
        INFO(row.name << ": " << message);
        CHECK(message.find(row.problem) != std::string::npos);
    }
}
