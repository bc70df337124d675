#!/usr/bin/env python3
# SPDX-License-Identifier: GPL-3.0-only
# Copyright (C) 2026 The Hill Run developers
"""A long day at the cell: the real window records pull after pull from a simulated cell, and its memory is watched.

usage: soak.py SECONDS [--speed X] [--out FILE]

Each line of FILE: seconds, pulls, resident kB of the window. At the end every checksum is verified, and the growth of
the memory by pull (slope over the second half) is given beside what the rows of one pull take.
Exit status 0: every pull is there and fits its checksum.
"""
import argparse, json, os, shutil, subprocess, sys, tempfile, time

BIN = os.environ.get("HILLRUN_BIN", "build/bin")
DATA = os.environ.get("HILLRUN_DATA", "data")
PORT = 5561


def empty_day(where):
    """A planned day without a pull, and the cell that plays it for as long as it is let."""
    with open(os.path.join(DATA, "demo", "boost-buggy.json")) as file:
        cell = json.load(file)
    for part in cell["order"]:
        part["pulls"], part["between_minutes"] = 1000, 0.05
    description = os.path.join(where, "cell.json")
    with open(description, "w") as file:
        json.dump(cell, file)
    day = os.path.join(where, "day")
    subprocess.run([f"{BIN}/hillrun-simcell", "--make-day", f"{DATA}/demo/boost-buggy.json", "--out", day], check=True,
                   stdout=subprocess.DEVNULL)
    shutil.rmtree(os.path.join(day, "pulls"))
    path = os.path.join(day, "day.json")
    with open(path) as file:
        content = json.load(file)
    content["pulls"] = []
    with open(path, "w") as file:
        json.dump(content, file)
    return description, day


def resident_kb(pid):
    with open(f"/proc/{pid}/status") as file:
        return next(int(line.split()[1]) for line in file if line.startswith("VmRSS"))


def pulls_of(day):
    with open(os.path.join(day, "day.json")) as file:
        return json.load(file)["pulls"]


def rows_kb(day, pulls):
    """What the rows of one pull take as numbers in memory."""
    with open(os.path.join(day, pulls[-1]["file"])) as file:
        lines = file.read().splitlines()
    return (len(lines) - 1) * len(lines[0].split(",")) * 8 / 1024


def slope(points):
    """Least squares, kB a pull."""
    n = len(points)
    x, y = sum(p for p, _ in points) / n, sum(m for _, m in points) / n
    down = sum((p - x) ** 2 for p, _ in points)
    return sum((p - x) * (m - y) for p, m in points) / down if down else 0.0


def watch(window, day, seconds, out):
    began, points = time.time(), []
    while time.time() - began < seconds:
        time.sleep(min(15, max(1, seconds / 100)))
        if window.poll() is not None:
            sys.exit(f"the window ended by itself with {window.returncode}")
        points.append((len(pulls_of(day)), resident_kb(window.pid)))
        print(f"{time.time() - began:.0f} {points[-1][0]} {points[-1][1]}", file=out, flush=True)
    return points


def main():
    parser = argparse.ArgumentParser()
    parser.add_argument("seconds", type=float)
    parser.add_argument("--speed", type=float, default=3.6)
    parser.add_argument("--out")
    options = parser.parse_args()
    where = tempfile.mkdtemp(prefix="hillrun-soak-")
    description, day = empty_day(where)
    cell = subprocess.Popen([f"{BIN}/hillrun-simcell", "serve", "--day", description, "--tcp", str(PORT), "--auto",
                             "--speed", str(options.speed)], stdin=subprocess.PIPE, stdout=subprocess.DEVNULL)
    time.sleep(1)
    environment = dict(os.environ, HOME=where, XDG_CONFIG_HOME=f"{where}/config", XDG_STATE_HOME=f"{where}/state",
                       XDG_DATA_HOME=f"{where}/data", QT_QPA_PLATFORM="offscreen")
    window = subprocess.Popen([f"{BIN}/hillrun", day, "--page", "pull", "--connect", f"tcp://127.0.0.1:{PORT}",
                               "--arm"], env=environment)
    try:
        points = watch(window, day, options.seconds, open(options.out, "w") if options.out else sys.stdout)
    finally:
        window.terminate()
        window.wait(30)
        cell.kill()
    pulls = pulls_of(day)
    verified = subprocess.run([f"{BIN}/hillrun-cli", "verify", day], capture_output=True, text=True)
    print(verified.stdout.strip().splitlines()[-1] if verified.stdout.strip() else verified.stderr.strip())
    half = points[len(points) // 2:]
    print(f"{len(pulls)} pulls, {sum(not p.get('use', True) for p in pulls)} set aside; memory {points[0][1] // 1024} MB "
          f"at first, {points[-1][1] // 1024} MB at the end, {slope(half):.0f} kB a pull over the second half, "
          f"of which the rows of a pull are {rows_kb(day, pulls):.0f} kB")
    shutil.rmtree(where)
    sys.exit(verified.returncode)


if __name__ == "__main__":
    main()
