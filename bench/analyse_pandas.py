#!/usr/bin/env python3
# SPDX-License-Identifier: GPL-3.0-only
# Copyright (C) 2026 The Hill Run developers
"""What a careful person would write with pandas and numpy to do the same job on the same files, for comparison of time.

usage: analyse_pandas.py DAY        every pair of the day, as JSON on standard output
       analyse_pandas.py --csv FILE reads one table and prints its shape

Reads day.json and every pull file, finds the full-throttle sweep, corrects to SAE J1349 (full factor), smooths torque
and every other channel by local lines over engine speed, fits builds and drift on the log scale, and gives each pair
its mean difference with interval, a simultaneous band from 10,000 draws, and what else differed. Vectorised where numpy
allows. It looks for no events and checks no file.
"""
import json, os, sys
from datetime import datetime

import numpy as np
import pandas as pd

STEP, WIDTH, DRAWS = 50.0, 100.0, 10_000


def sweep_of(table):
    speed, throttle = table["engine_speed"].to_numpy(), table["throttle"].to_numpy()
    full = throttle > 0.95 * np.nanquantile(throttle, 0.9)
    rising = np.convolve(np.gradient(speed, table["time"].to_numpy()), np.ones(25) / 25, mode="same") > 50
    good = full & rising
    edges = np.flatnonzero(np.diff(np.concatenate([[0], good.view(np.int8), [0]])))
    first, last = max(edges.reshape(-1, 2), key=lambda run: run[1] - run[0])
    settle = int(0.3 / np.median(np.diff(table["time"])))
    return slice(first + settle, last)


def on_grid(speed, columns):
    """Local lines with a bell-shaped weight at every multiple of the step: grid, values (points x columns)."""
    grid = np.arange(np.ceil(speed.min() / STEP), np.floor(speed.max() / STEP) + 1) * STEP
    away = speed[None, :] - grid[:, None]
    weight = np.exp(-4 * np.log(2) * (away / WIDTH) ** 2)
    s0, s1, s2 = weight.sum(1), (weight * away).sum(1), (weight * away**2).sum(1)
    kernel = weight * (s2[:, None] - away * s1[:, None]) / (s0 * s2 - s1**2)[:, None]
    known = np.where(np.isfinite(columns), columns, np.nanmean(columns, axis=0))
    return grid, kernel @ known


def factor(weather):
    t, p = weather["temperature_c"], weather["pressure_kpa"]
    vapour = weather.get("humidity_pct", 0.0) / 100 * 0.61121 * np.exp(17.502 * t / (240.97 + t))
    return 1.18 * (99.0 / (p - vapour)) * np.sqrt((t + 273.15) / 298.15) - 0.18


def read_pull(folder, pull):
    table = pd.read_csv(os.path.join(folder, pull["file"]))
    table.columns = [name.split(" [")[0] for name in table.columns]
    part = table.iloc[sweep_of(table)].dropna(subset=["engine_speed", "torque"])
    grid, values = on_grid(part["engine_speed"].to_numpy(), part.to_numpy(dtype=float))
    curve = pd.DataFrame(values, columns=part.columns, index=grid)
    curve["power"] = factor(pull["weather"]) * curve["torque"] * grid * np.pi / 30
    return curve


def fit(day, curves):
    builds = sorted({p["build"] for p in day["pulls"]})
    time = np.array([datetime.fromisoformat(p["started"]).timestamp() / 3600 for p in day["pulls"]])
    x = np.array([[p["build"] == b for b in builds] for p in day["pulls"]], dtype=float)
    x = np.column_stack([x, time - time.mean()])
    power = pd.concat([c["power"] for c in curves], axis=1).dropna()
    y = np.log(power.to_numpy()).T
    level = y.mean(axis=1)
    inverse = np.linalg.pinv(x.T @ x)
    beta, rest = inverse @ x.T @ y, y - x @ (inverse @ x.T @ y)
    dof = len(y) - np.linalg.matrix_rank(x)
    level_rest = level - x @ (inverse @ x.T @ level)
    return builds, power.index.to_numpy(), beta, inverse, rest, level_rest, dof


def critical(rpm, rest, dof, rng):
    """95 % of the largest standardised error along the curve, by draws with the residuals' own correlation."""
    shape = rest - rest.mean(axis=1, keepdims=True)
    lag = np.abs(rpm[:, None] - rpm[None, :])
    centred = shape / (shape.std(axis=0) + 1e-12)
    length = 100.0
    for try_length in (150.0, 200.0, 250.0, 300.0, 400.0):
        near = np.mean(centred[:, :-4] * centred[:, 4:])
        if near > np.exp(-((4 * STEP) ** 2) / (2 * try_length**2)):
            length = try_length
    root = np.linalg.cholesky(np.exp(-(lag**2) / (2 * length**2)) + 1e-6 * np.eye(len(rpm)))
    draws = root @ rng.standard_normal((len(rpm), DRAWS))
    scale = np.sqrt(dof / rng.chisquare(dof, DRAWS))
    return np.quantile(np.abs(draws * scale).max(axis=0), 0.95)


def pairs_of(builds, rpm, beta, inverse, rest, dof, curves, day):
    sd, rng = np.sqrt((rest**2).sum(axis=0) / dof), np.random.default_rng(1)
    wide = critical(rpm, rest, dof, rng)
    means = {b: pd.concat([c for c, p in zip(curves, day["pulls"]) if p["build"] == b]).groupby(level=0).mean()
             for b in builds}
    for i, a in enumerate(builds):
        for j, b in enumerate(builds):
            if i == j:
                continue
            k = np.zeros(len(builds) + 1)
            k[i], k[j] = -1, 1
            error = np.sqrt(k @ inverse @ k) * sd
            delta, base = k @ beta, np.exp(beta[i])
            mean, half = np.mean(base * np.expm1(delta)), 2.1 * np.mean(base * error)
            other = (means[b] - means[a]).mean().drop("power")
            yield {"from": a, "to": b, "mean_w": mean, "half_w": half, "rpm": rpm.tolist(),
                   "delta_w": (base * np.expm1(delta)).tolist(),
                   "low_w": (base * np.expm1(delta - wide * error)).tolist(),
                   "high_w": (base * np.expm1(delta + wide * error)).tolist(), "other": other.to_dict()}


def main():
    if sys.argv[1] == "--csv":
        print(pd.read_csv(sys.argv[2]).shape)
        return
    folder = sys.argv[1]
    with open(os.path.join(folder, "day.json")) as file:
        day = json.load(file)
    day["pulls"] = [p for p in day["pulls"] if p.get("use", True)]
    curves = [read_pull(folder, pull) for pull in day["pulls"]]
    builds, rpm, beta, inverse, rest, _, dof = fit(day, curves)
    json.dump(list(pairs_of(builds, rpm, beta, inverse, rest, dof, curves, day)), sys.stdout)


if __name__ == "__main__":
    main()
