#!/usr/bin/env python3
# SPDX-License-Identifier: GPL-3.0-only
# Copyright (C) 2026 The Hill Run developers
"""Four benches enter their days in one logbook on a server, are killed again and again, and the server with them.

usage: killed_writers.py [DAYS_A_WRITER] [--seed N]

Two benches make the logbook from a folder (`rebuild`), two add day by day as the window does, with an outbox for the
time when the server is away. In the end every day must be there once, as a bench that was never disturbed enters it.
"""
import argparse, json, os, random, shutil, signal, subprocess, sys, tempfile, threading, time

BIN = os.environ.get("HILLRUN_BIN", "build/bin")
DATA = os.environ.get("HILLRUN_DATA", "data")
TOOLS = os.environ.get("HILLRUN_TOOLS", "tools")
WRITERS = 4


def make_days(folder, writer, count):
    """Small days of one demo day's first pulls; every one with a name of its own."""
    source = os.path.join(DATA, "demo", "day-7-two-stroke-timing")
    with open(os.path.join(source, "day.json")) as file:
        day = json.load(file)
    day["pulls"] = day["pulls"][:4]
    out = []
    for number in range(count):
        day["id"] = f"w{writer}-{number:03}"
        day["name"] = f"Evening {number} of bench {writer}"
        path = os.path.join(folder, f"bench-{writer}", day["id"])
        os.makedirs(os.path.join(path, "pulls"))
        for pull in day["pulls"]:
            os.link(os.path.join(folder, "rows", os.path.basename(pull["file"])), os.path.join(path, pull["file"]))
        with open(os.path.join(path, "day.json"), "w") as file:
            json.dump(day, file)
        out.append(path)
    return out


class Bench:
    """One writer; every run of the program may be killed, and begins again until it ends by itself."""

    def __init__(self, folder, address, number, days, seed):
        self.environment = dict(os.environ, XDG_STATE_HOME=os.path.join(folder, f"state-{number}"))
        self.address, self.number, self.days = address, number, days
        self.random = random.Random(seed * 100 + number)
        self.kills = 0
        self.unreachable = 0

    def run(self, *arguments):
        command = [f"{BIN}/hillrun-cli", "logbook", *arguments, "--db", self.address]
        return subprocess.Popen(command, env=self.environment, stdout=subprocess.DEVNULL, stderr=subprocess.PIPE, text=True)

    def insist(self, *arguments):
        """True when it ended well, False when it found no server; a killed run is begun again."""
        while True:
            program = self.run(*arguments)
            try:
                _, words = program.communicate(timeout=self.random.uniform(0.1, 2.0))
            except subprocess.TimeoutExpired:
                program.send_signal(signal.SIGKILL)
                program.communicate()
                self.kills += 1
                continue
            if program.returncode == 0:
                return True
            if program.returncode != 1:
                raise SystemExit(f"bench {self.number}: {words}")
            self.unreachable += 1
            time.sleep(0.2)
            return False

    def work(self):
        if self.number % 2 == 0:
            while not self.insist("rebuild", os.path.dirname(self.days[0])):
                pass
            return
        for day in self.days:  # a day that could not enter waits in the outbox: it is not added again
            self.insist("add", day)


def psql(address, statement):
    bins = sorted(os.listdir("/usr/lib/postgresql"), key=float)
    host = address.split("host=")[1].split("&")[0]
    name = address.split("///")[1].split("?")[0]
    out = subprocess.run([f"/usr/lib/postgresql/{bins[-1]}/bin/psql", "-h", host, "-U", "hillrun", "-d", name, "-qAtc",
                          statement], capture_output=True, text=True, check=True)
    return out.stdout.split()


def contents(address):
    rows = "SELECT d.id || '=' || md5(r.record) || '=' || md5(d.words::text) FROM days d JOIN records r ON r.day = d.id"
    return sorted(psql(address, rows))


def main():
    parser = argparse.ArgumentParser(description=__doc__.splitlines()[0])
    parser.add_argument("days", type=int, nargs="?", default=250, help="of each writer")
    parser.add_argument("--seed", type=int, default=1)
    given = parser.parse_args()
    chance = random.Random(given.seed)
    folder = tempfile.mkdtemp(prefix="hillrun-killed-", dir="/tmp")
    server = os.path.join(folder, "server")
    shutil.copytree(os.path.join(DATA, "demo", "day-7-two-stroke-timing", "pulls"), os.path.join(folder, "rows"))
    os.chmod(folder, 0o755)
    address = subprocess.run([f"{TOOLS}/start-postgresql", server], capture_output=True, text=True, check=True).stdout.strip()
    try:
        psql(address, "CREATE DATABASE quiet")
        benches = [Bench(folder, address, w, make_days(folder, w, given.days), given.seed) for w in range(WRITERS)]
        writers = [threading.Thread(target=bench.work) for bench in benches]
        begin = time.monotonic()
        for writer in writers:
            writer.start()
        restarts = 0
        while any(writer.is_alive() for writer in writers):
            time.sleep(chance.uniform(1.0, 4.0))
            subprocess.run([f"{TOOLS}/stop-postgresql", server, "immediate"], check=True)
            time.sleep(chance.uniform(0.0, 1.0))
            subprocess.run([f"{TOOLS}/start-postgresql", server], stdout=subprocess.DEVNULL, check=True)
            restarts += 1
        for bench in benches:  # the next time that somebody looks, what waited follows
            program = bench.run("find")
            _, words = program.communicate()
            if program.returncode != 0:
                raise SystemExit(f"bench {bench.number} afterwards: {words}")
        took = time.monotonic() - begin
        quiet = address.replace("///logbook?", "///quiet?")
        subprocess.run([f"{BIN}/hillrun-cli", "logbook", "rebuild", *(os.path.dirname(b.days[0]) for b in benches), "--db",
                        quiet], stdout=subprocess.DEVNULL, check=True)
        there, wanted = contents(address), contents(quiet)
        kills = sum(bench.kills for bench in benches)
        print(f"{len(there)} of {len(wanted)} days in {took:.0f} s; {kills} kills of writers, {restarts} of the server, "
              f"{sum(bench.unreachable for bench in benches)} runs without a server")
        if len(wanted) != WRITERS * given.days:
            raise SystemExit("the quiet logbook itself is not whole")
        if (packages := int(psql(address, "SELECT count(*) FROM packages")[0])) != len(wanted):
            raise SystemExit(f"{packages} packages of {len(wanted)}")
        if there != wanted:
            missing = sorted(set(wanted) - set(there))
            raise SystemExit(f"not as undisturbed: {missing[:5]} ... against {sorted(set(there) - set(wanted))[:5]}")
        if kills < WRITERS or restarts < 1:
            raise SystemExit("nobody was disturbed: the run says nothing")
    finally:
        subprocess.run([f"{TOOLS}/stop-postgresql", server, "immediate"], check=False)
        shutil.rmtree(folder, ignore_errors=True)


if __name__ == "__main__":
    sys.exit(main())
