#!/usr/bin/env python3
# SPDX-License-Identifier: GPL-3.0-only
# Copyright (C) 2026 The Hill Run developers
"""A day-long torture in short: random actions against the real programs, and after each of them the promises.

usage: torture.py SECONDS [--seed N] [--keep]

Programs: hillrun-simcell (the cell), torture_window (the real window, worked from its console), hillrun-cli. Between
cell and window stands a proxy that breaks the stream (lost link, clock faults, garbage) and remembers every row it let
through. The promises:
  1  day.json of every day is whole, and every file fits its checksum (hillrun-cli verify).
  2  every pull's rows are rows that were sent, all of one stretch, in order.
  3  what was acknowledged is there: a saved state on disk, an edit after a kill in what is offered again.
  4  the window lives, unless it was killed.
Exit status 0: all held; 1: one did not, with the seed and what was done.
"""
import argparse, json, os, random, resource, select, shutil, signal, socket, subprocess, sys, tempfile, threading, time

BIN = os.environ.get("HILLRUN_BIN", "build/bin")
DATA = os.environ.get("HILLRUN_DATA", "data")


class Broken(Exception):
    pass


def rounded(cells):
    return tuple(None if c == "" else float(c) for c in cells)


class Proxy:
    """Stands between cell and windows; remembers the rows it let through, without their time."""

    def __init__(self, cell_port):
        self.cell = socket.create_connection(("127.0.0.1", cell_port))
        self.server = socket.socket()
        self.server.setsockopt(socket.SOL_SOCKET, socket.SO_REUSEADDR, 1)
        self.server.bind(("127.0.0.1", 0))
        self.server.listen(8)
        self.port = self.server.getsockname()[1]
        self.clients, self.head, self.columns = [], [], None
        self.rows, self.index, self.lock = [], {}, threading.Lock()
        self.shift, self.frozen, self.extra, self.time_column = 0.0, None, [], 0
        threading.Thread(target=self.run, daemon=True).start()

    def send(self, line):
        for client in list(self.clients):
            try:
                client.sendall(line)
            except OSError:
                self.clients.remove(client)

    def remember(self, cells):
        row = rounded(c for i, c in enumerate(cells) if i != self.time_column)
        self.index.setdefault(row, []).append(len(self.rows))
        self.rows.append(row)

    def drop_link(self):
        with self.lock:
            for client in self.clients:
                client.shutdown(socket.SHUT_RDWR)
                client.close()
            self.clients.clear()

    def run(self):
        pending = b""
        while True:
            ready, _, _ = select.select([self.cell, self.server], [], [])
            with self.lock:
                if self.server in ready:
                    client, _ = self.server.accept()
                    client.settimeout(5)
                    for line in self.head:
                        client.sendall(line)
                    self.clients.append(client)
                if self.cell in ready:
                    got = self.cell.recv(65536)
                    if not got:
                        return
                    pending += got
                    while b"\n" in pending:
                        line, pending = pending.split(b"\n", 1)
                        self.pass_on(line)

    def pass_on(self, line):
        text = line.decode()
        if text.startswith("#hill-run-telemetry"):
            self.head = [line + b"\n"]
        elif text.startswith("#clock"):
            self.head = self.head[:2] + [line + b"\n"]
        elif not text.startswith("#") and text and not text[0].isdigit() and text[0] not in "-.":
            self.columns = [name.split(" [")[0] for name in text.split(",")]
            self.time_column = self.columns.index("time")
            self.head = self.head[:1] + [line + b"\n"]
        elif not text.startswith("#") and self.columns:
            for extra in self.extra:
                self.send(extra)
            self.extra = []
            cells = text.split(",")
            if self.frozen is not None:
                cells[self.time_column] = self.frozen
            elif self.shift:
                cells[self.time_column] = "%.4f" % (float(cells[self.time_column]) + self.shift)
            self.remember(cells)
            line = ",".join(cells).encode()
        self.send(line + b"\n")

    # The faults
    def one_odd_row(self):
        with self.lock:
            if self.rows:
                cells = ["" if c is None else repr(c) for c in self.rows[-1]]
                cells.insert(self.time_column, "1e9")
                self.extra.append((",".join(cells) + "\n").encode())
                self.remember(cells)

    def set_clock(self, by):
        with self.lock:
            self.shift += by

    def freeze(self, seconds):
        with self.lock:
            self.frozen = "1234.5"
        time.sleep(seconds)
        with self.lock:
            self.frozen = None

    def garbage(self):
        with self.lock:
            self.extra.append(bytes(random.randrange(256) for _ in range(200)).replace(b"\n", b"") + b"\n")

    def header_again(self):
        with self.lock:
            self.extra += self.head[:2]

    def holds(self, table):
        """The rows of a pull file lie among those let through, in one stretch."""
        names, rows = table
        keep = [i for i, n in enumerate(names) if n != "time"]
        if not rows:
            return False
        rows = [tuple(r[i] for i in keep) for r in rows]
        with self.lock:
            for at in self.index.get(rows[0], []):
                if self.rows[at:at + len(rows)] == rows:
                    return True
        return False


def read_table(path):
    with open(path) as f:
        lines = f.read().split("\n")
    names = [name.split(" [")[0] for name in lines[0].split(",")]
    return names, [rounded(line.split(",")) for line in lines[1:] if line]


class Window:
    def __init__(self, home):
        env = dict(os.environ, HOME=home, XDG_CONFIG_HOME=home, XDG_DATA_HOME=home, XDG_STATE_HOME=home,
                   XDG_RUNTIME_DIR=home, QT_QPA_PLATFORM="offscreen")
        self.process = subprocess.Popen([os.path.join(BIN, "torture_window")], env=env, stdin=subprocess.PIPE,
                                        stdout=subprocess.PIPE, stderr=subprocess.DEVNULL)

    def ask(self, command):
        try:
            self.process.stdin.write((command + "\n").encode())
            self.process.stdin.flush()
            if not select.select([self.process.stdout], [], [], 30)[0]:
                raise Broken("the window does not answer: " + command)
            line = self.process.stdout.readline()
        except BrokenPipeError:
            line = b""
        if not line:
            raise Broken("the window died at: " + command)
        return json.loads(line)

    def status(self):
        return self.ask("status")

    def wait(self, what, seconds=20):
        end = time.time() + seconds
        while time.time() < end:
            now = self.status()
            if what(now):
                return now
            time.sleep(0.03)
        raise Broken("waited in vain: " + json.dumps(dict(now, pulls=len(now["pulls"]))))

    def end(self, how):
        self.process.send_signal(how)
        self.process.wait(20)
        for pipe in (self.process.stdin, self.process.stdout):
            pipe.close()


def cli(*words):
    return subprocess.run([os.path.join(BIN, "hillrun-cli"), *words], capture_output=True, text=True, timeout=120)


class Torture:
    def __init__(self, seed):
        self.random = random.Random(seed)
        random.seed(seed)
        self.work = tempfile.mkdtemp(prefix="hillrun-torture-")
        self.home = os.path.join(self.work, "home")
        os.mkdir(self.home)
        self.cell = subprocess.Popen([os.path.join(BIN, "hillrun-simcell"), "serve", "--day",
                                      os.path.join(DATA, "demo", "flat-twin.json"), "--tcp", "0", "--speed", "8"],
                                     stdin=subprocess.PIPE, stdout=subprocess.PIPE, text=True)
        port = None
        for line in self.cell.stdout:
            if line.startswith("telemetry"):
                port = int(line.split(":")[1])
            if line.strip() == "ready":
                break
        self.cell_says = []
        threading.Thread(target=lambda: self.cell_says.extend(self.cell.stdout), daemon=True).start()
        self.proxy = Proxy(port)
        self.done, self.counts, self.days, self.recorded = [], {}, 0, 0
        self.edit = 0
        self.new_day()
        self.window = None
        self.start_window()
        self.say("start")

    def say(self, command):
        self.cell.stdin.write(command + "\n")
        self.cell.stdin.flush()

    def new_day(self):
        self.days += 1
        self.day = os.path.join(self.work, "day-%d" % self.days)
        os.mkdir(self.day)
        with open(os.path.join(self.day, "day.json"), "w") as f:
            json.dump({"format": "hill-run-day", "version": 1, "name": "Torture", "builds": [{"id": "A"}, {"id": "B"}]}, f)
        self.saved = {"note": "", "pulls": {}}

    def start_window(self):
        self.window = Window(self.home)
        self.window.ask("open " + self.day)
        self.window.wait(lambda s: s["open"] and not s["busy"])
        self.window.ask("connect tcp://127.0.0.1:%d" % self.proxy.port)

    # What a state is, and what must be on disk
    @staticmethod
    def state_of(status):
        return {"note": status["note"], "pulls": {p["id"]: [p["use"], p["rows"]] for p in status["pulls"]}}

    def on_disk(self, day=None):
        if (day or self.day).endswith(".zip"):
            out = os.path.join(self.work, "unzipped")
            shutil.rmtree(out, ignore_errors=True)
            shutil.unpack_archive(day or self.day, out)
            return json.load(open(os.path.join(out, "day.json"))), out
        return json.load(open(os.path.join(day or self.day, "day.json"))), day or self.day

    def acknowledge(self):
        status = self.window.wait(lambda s: not s["busy"])
        if not status["modified"]:
            self.saved = self.state_of(status)
        return status

    def check(self):
        day, folder = self.on_disk()
        answer = cli("verify", self.day, "--json")
        if answer.returncode != 0:
            raise Broken("verify: %s %s" % (answer.stdout[:800], answer.stderr[:300]))
        found = {"note": day.get("note", ""), "pulls": {}}
        for pull in day.get("pulls", []):
            table = read_table(os.path.join(folder, pull["file"]))
            found["pulls"][pull["id"]] = [pull.get("use", True), len(table[1])]
            if not self.proxy.holds(table):
                raise Broken("%s (%s): its rows were never sent so" % (pull["id"], pull["file"]))
        if found != self.saved:
            raise Broken("acknowledged %s, on disk %s" % (json.dumps(self.saved), json.dumps(found)))

    def settle(self):
        """Until the cell rests and the window has taken what it saw: after a lost link also the rest of the pull."""
        end = time.time() + 20
        while not (self.cell_says and self.cell_says[-1].startswith("idling")):
            self.say("status")
            time.sleep(0.05)
            if time.time() > end:
                raise Broken("the cell does not come to rest")
        time.sleep(0.5)  # two seconds after a pull, at eight times real time
        return self.window.wait(lambda s: s["recorder"] in (0, 1) and not s["stale"] and not s["busy"])

    def start_pull(self):
        before = len(self.settle()["pulls"])
        self.say("pull")
        try:
            self.window.wait(lambda s: s["recorder"] == 2)
        except Broken as broken:
            raise Broken("no pull began (last row sent: %s): %s" % (self.proxy.rows[-1], broken))
        return before

    # The actions
    def record(self):
        w = self.window
        w.wait(lambda s: not s["stale"] and not s["busy"])
        w.ask("arm")
        fault = self.random.choice(["none", "none", "none", "odd", "odd", "ahead", "back", "freeze", "garbage", "header", "link"])
        before = self.start_pull()
        time.sleep(self.random.uniform(0.05, 0.8))
        if fault == "odd":
            self.proxy.one_odd_row()
        elif fault in ("ahead", "back"):
            self.proxy.set_clock(self.random.uniform(1, 4000) * (1 if fault == "ahead" else -1))
        elif fault == "freeze":
            self.proxy.freeze(self.random.uniform(0.02, 0.6))
        elif fault == "garbage":
            self.proxy.garbage()
        elif fault == "header":
            self.proxy.header_again()
        elif fault == "link":
            self.proxy.drop_link()
        status = w.wait(lambda s: len(s["pulls"]) > before and not s["busy"], 30)
        new = status["pulls"][-1]
        if fault == "link" and new["use"]:
            raise Broken("a pull that the link cut counts")
        if fault != "link" and not new["use"]:
            raise Broken("a pull with fault %s does not count" % fault)
        self.counts["fault " + fault] = self.counts.get("fault " + fault, 0) + 1
        self.recorded += 1
        if fault == "link":
            self.settle()
        self.acknowledge()

    def note(self):
        self.edit += 1
        self.window.ask("note edit %d" % self.edit)

    def toggle_use(self):
        pulls = self.window.status()["pulls"]
        if pulls:
            self.window.ask("use " + self.random.choice(pulls)["id"])

    def undo(self):
        for _ in range(self.random.randint(1, 3)):
            self.window.ask("do edit.undo")

    def redo(self):
        self.window.ask("do edit.redo")

    def save(self):
        self.window.ask("do day.save")
        status = self.acknowledge()
        if status["modified"]:
            raise Broken("not saved: " + json.dumps(status["shown"]))

    def save_as(self):
        self.window.wait(lambda s: s["recorder"] in (0, 1))
        self.days += 1
        target = os.path.join(self.work, "day-%d%s" % (self.days, self.random.choice(["", ".zip"])))
        self.window.ask("do day.save_as " + target)
        status = self.acknowledge()
        if status["path"] != target or status["modified"]:
            raise Broken("not saved as: " + json.dumps(status["shown"]))
        self.day = target

    def save_onto_another(self):
        other = os.path.join(self.work, "other")
        shutil.rmtree(other, ignore_errors=True)
        shutil.copytree(os.path.join(DATA, "demo", "day-1-flat-twin"), other)
        before = open(os.path.join(other, "day.json")).read()
        self.window.ask("do day.save_as " + other)
        status = self.window.status()
        if open(os.path.join(other, "day.json")).read() != before or status["path"] == other:
            raise Broken("another day was written over")

    def import_meanwhile(self):
        answer = cli("import", os.path.join(DATA, "demo", "day-1-flat-twin", "pulls", "p01.csv"), "--into", self.day)
        if answer.returncode != 1 or "open for writing" not in answer.stderr:
            raise Broken("an import into a day that a window writes: %d %s" % (answer.returncode, answer.stderr))

    def imports_at_once(self):
        target = os.path.join(self.work, "imported-%d" % len(self.done))
        source = os.path.join(DATA, "demo", "day-1-flat-twin", "pulls")
        started = [subprocess.Popen([os.path.join(BIN, "hillrun-cli"), "import", os.path.join(source, name), "--into", target,
                                     "--build", "A"], stdout=subprocess.DEVNULL, stderr=subprocess.DEVNULL)
                   for name in sorted(os.listdir(source))[:6]]
        killed = self.random.choice(started)
        time.sleep(self.random.uniform(0.0, 0.1))
        killed.kill()
        good = sum(p.wait() == 0 for p in started)
        # Whoever was killed could not report: its pull is there wholly or not at all.
        unknown = 1 if killed.returncode != 0 else 0
        there = os.path.join(target, "day.json")
        day = json.load(open(there)) if os.path.exists(there) else {"pulls": []}
        if not good <= len(day["pulls"]) <= good + unknown or (day["pulls"] and cli("verify", target).returncode != 0):
            raise Broken("%d imports reported success, %d pulls are there" % (good, len(day["pulls"])))
        shutil.rmtree(target, ignore_errors=True)

    def second_window(self):
        second = Window(self.home)
        try:
            second.ask("open " + self.day)
            status = second.wait(lambda s: s["open"] and not s["busy"])
            if status["may_edit"] or second.ask("note from the second")["done"]:
                raise Broken("two windows may write one day")
            if self.random.random() < 0.5:
                return
            before = self.state_of(self.window.status())
            second.ask("answer 0")  # take over
            second.wait(lambda s: s["open"] and s["may_edit"] and not s["busy"])
            self.edit += 1
            second.ask("note taken over %d" % self.edit)
            second.ask("do day.save")
            theirs = self.state_of(second.wait(lambda s: not s["modified"]))
            self.window.ask("note too late")
            status = self.window.status()
            if status["may_edit"] or self.state_of(status) != before:
                raise Broken("the window that was taken over still writes")
            self.saved = theirs
            self.window, second = second, self.window
            self.window.ask("connect tcp://127.0.0.1:%d" % self.proxy.port)
        finally:
            second.end(signal.SIGKILL)
            self.forget_kept()

    def forget_kept(self):
        """What a window left that no longer counts."""
        kept = os.path.join(self.home, "hillrun", "kept")
        for name in os.listdir(kept) if os.path.isdir(kept) else []:
            folder = os.path.join(kept, name)
            if self.owner(os.path.join(folder, "kept.lock")) != self.window.process.pid:
                shutil.rmtree(folder, ignore_errors=True)

    @staticmethod
    def owner(lock):
        try:
            return json.load(open(lock))["process"]
        except (OSError, ValueError):
            return None

    def full_disk(self):
        pid = self.window.process.pid
        resource.prlimit(pid, resource.RLIMIT_FSIZE, (2000, resource.RLIM_INFINITY))
        self.edit += 1
        self.window.ask("note on a full disk %d" % self.edit)
        self.window.ask("do day.save")
        status = self.window.status()
        if len(status["pulls"]) > 5 and not status["modified"]:
            raise Broken("saved on a full disk?")
        resource.prlimit(pid, resource.RLIMIT_FSIZE, (resource.RLIM_INFINITY, resource.RLIM_INFINITY))
        self.save()

    def folder_gone(self):
        if self.window.status()["recorder"] in (2, 3):
            return
        away = self.day + ".away"
        os.rename(self.day, away)
        self.note()
        self.window.ask("do day.save")
        status = self.window.status()
        if not status["modified"] or os.path.exists(self.day):
            raise Broken("saved to a place that is gone: %s, %s" % (json.dumps(status), os.path.exists(self.day) and os.listdir(self.day)))
        os.rename(away, self.day)
        self.save()

    def kill(self):
        """In the middle of whatever; unsaved edits and the pull that is made come back."""
        status = self.window.wait(lambda s: not s["busy"])
        recording = self.random.random() < 0.6 and not status["stale"]
        if recording:
            self.window.ask("arm")
            self.start_pull()
            self.acknowledge()
        if self.random.random() < 0.7:
            self.note()
        time.sleep(self.random.uniform(0.1, 0.5))
        try:
            before = self.window.status()
        finally:
            self.window.end(self.random.choice([signal.SIGKILL, signal.SIGKILL, signal.SIGTERM]))
        if not before["modified"]:
            self.saved = self.state_of(before)
        self.check()
        self.start_window()
        expected = self.state_of(before)
        offered = self.window.status()["notice"]
        if before["modified"] and "not saved" not in offered:
            raise Broken("edits were lost by a kill: " + offered)
        if recording and len(before["pulls"]) == len(expected["pulls"]) and before["recorder"] == 2 and "recordings" not in offered:
            raise Broken("a pull was lost by a kill: " + offered)
        if offered:
            self.window.ask("answer 0")
        status = self.window.wait(lambda s: not s["busy"])
        now = self.state_of(status)
        if now["note"] != expected["note"] or any(now["pulls"].get(i) != p for i, p in expected["pulls"].items()):
            raise Broken("before the kill %s, after %s" % (json.dumps(expected), json.dumps(now)))
        self.save_if_needed()

    def save_if_needed(self):
        if self.window.status()["modified"]:
            self.save()
        else:
            self.acknowledge()

    def fresh_day(self):
        self.save_if_needed()
        self.new_day()
        self.window.ask("open " + self.day)
        self.window.wait(lambda s: s["path"] == self.day and not s["busy"])

    def run(self, seconds):
        actions = ([self.record] * 5 + [self.note] * 4 + [self.toggle_use] * 2 + [self.undo] * 3 + [self.redo] * 2 + [self.save] * 3 +
                   [self.kill] * 3 + [self.save_as, self.save_onto_another, self.import_meanwhile, self.imports_at_once,
                                      self.second_window, self.full_disk, self.folder_gone])
        end = time.time() + seconds
        while time.time() < end:
            action = self.random.choice(actions)
            if action in (self.folder_gone,) and self.day.endswith(".zip"):
                continue
            self.done.append(action.__name__)
            self.counts[action.__name__] = self.counts.get(action.__name__, 0) + 1
            action()
            status = self.window.status()
            if not status["modified"] and not status["busy"] and status["recorder"] in (0, 1):
                self.saved = self.state_of(status)
            self.check()
            if len(self.window.status()["pulls"]) > 25:
                self.fresh_day()

    def close(self, keep):
        self.cell.kill()
        if self.window and self.window.process.poll() is None:
            self.window.end(signal.SIGKILL)
        if not keep:
            shutil.rmtree(self.work, ignore_errors=True)


def main():
    a = argparse.ArgumentParser()
    a.add_argument("seconds", type=float)
    a.add_argument("--seed", type=int, default=int(time.time()))
    a.add_argument("--keep", action="store_true")
    o = a.parse_args()
    torture = Torture(o.seed)
    try:
        torture.run(o.seconds)
    except Broken as broken:
        print("BROKEN (seed %d, in %s): %s" % (o.seed, torture.work, broken))
        print("done: " + " ".join(torture.done[-30:]))
        torture.close(True)
        return 1
    torture.close(o.keep)
    print("seed %d: %d actions, %d pulls recorded, nothing lost: %s" %
          (o.seed, len(torture.done), torture.recorded, ", ".join("%s %d" % kv for kv in sorted(torture.counts.items()))))
    return 0


sys.exit(main())
