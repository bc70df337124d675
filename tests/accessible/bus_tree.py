#!/usr/bin/env python3
# SPDX-License-Identifier: GPL-3.0-only
# Copyright (C) 2026 The Hill Run developers
"""Reads the window over the desktop's accessibility bus, as a screen reader does, page by page: no control without a
name, every picture told in words, the answer read as it stands. Prints how much it found; exit status 1 on a fault.

usage: bus_tree.py HILLRUN DAY     (inside a session bus and a display: tools/check-screen-reader)
"""
import os
import subprocess
import sys
import time

import gi

gi.require_version("Atspi", "2.0")
from gi.repository import Atspi

PAGES = ["prepare", "pull", "check", "compare", "report", "bench"]
CONTROLS = {"push button", "toggle button", "check box", "radio button", "combo box", "text", "entry", "spin button",
            "list", "table", "menu item", "check menu item"}
PICTURES = {"image", "canvas", "graphic", "icon", "chart"}


def window_of(process, seconds=30):
    desktop = Atspi.get_desktop(0)
    end = time.time() + seconds
    while time.time() < end:
        for i in range(desktop.get_child_count()):
            one = desktop.get_child_at_index(i)
            if one and one.get_process_id() == process.pid and one.get_child_count() > 0:
                return one
        time.sleep(0.2)
    return None


def walk(node, visit, depth=0):
    if node is None or depth > 40:
        return
    visit(node)
    for i in range(min(node.get_child_count(), 400)):
        walk(node.get_child_at_index(i), visit, depth + 1)


def look(page, program, day):
    process = subprocess.Popen([program, day, "--page", page], stdout=subprocess.DEVNULL, stderr=subprocess.DEVNULL)
    faults, seen, names = [], {"nodes": 0, "pictures": 0}, []
    try:
        application = window_of(process)
        if application is None:
            return ["is not on the bus"], seen, names
        time.sleep(4)  # the day is read and worked out

        def visit(node):
            role, name = node.get_role_name(), (node.get_name() or "").strip()
            states = node.get_state_set()
            if not states.contains(Atspi.StateType.SHOWING):
                return
            seen["nodes"] += 1
            names.append(name)
            if role in CONTROLS and not name:
                faults.append(f"a {role} has no name, in {node.get_parent().get_name()!r}")
            if role in PICTURES:
                seen["pictures"] += 1
                if not name or not ((node.get_description() or "").strip() or node.is_text()):
                    faults.append(f"a picture is not told: {name!r}")

        walk(application, visit)
    finally:
        process.terminate()
        process.wait()
    return faults, seen, names


def main():
    program, day = sys.argv[1:3]
    bad = False
    for page in PAGES:
        faults, seen, names = look(page, program, day)
        if page == "compare" and not any(" gives " in name for name in names):
            faults.append("the answer is not on the bus")
        if seen["nodes"] < 20:
            faults.append(f"only {seen['nodes']} things are on the bus")
        print(f"{page}: {seen['nodes']} things, {seen['pictures']} pictures, {len(faults)} faults")
        for fault in sorted(set(faults)):
            print("   " + fault)
        bad = bad or bool(faults)
    return 1 if bad else 0


if __name__ == "__main__":
    os.environ.update(QT_LINUX_ACCESSIBILITY_ALWAYS_ON="1", QT_ACCESSIBILITY="1", QT_QPA_PLATFORM="xcb")
    sys.exit(main())
