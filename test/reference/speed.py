"""
The same measurements of the same recording in vectorised SciPy, timed part by part.
Usage: python3 speed.py make FOLDER SECONDS... | wide FOLDER SECONDS | time FILE (the best of five) | once FILE (a process of its own)
"""
import json
import sys
import time

import numpy as np
from scipy import optimize, signal

from recordings import SIZE, am, save

RATE = 250_000
SIZE_BINS = 8192


def make(folder, seconds):
    rng = np.random.default_rng(1)
    # One second after the other, so that a minute does not need gigabytes.
    parts = [am(rng, RATE, 1.0, 0.85, 1000.0, 12_000.0, 45) for _ in range(seconds)]
    save(folder, f"speed-{seconds}", np.concatenate(parts), RATE)


def wide(folder, seconds):
    """What a cheap receiver writes: 8 bits unsigned at 2.048 MS/s, an AM signal 185 kHz from the middle."""
    rate = 2_048_000
    rng = np.random.default_rng(3)
    with open(f"{folder}/wide.sigmf-data", "wb") as file:
        for second in range(seconds):
            t = second + np.arange(rate) / rate
            z = 0.4 * (1 + 0.8 * np.sin(2 * np.pi * 1000 * t)) * np.exp(2j * np.pi * 185_000 * t)
            z = z + 0.005 * (rng.normal(size=rate) + 1j * rng.normal(size=rate))
            pairs = np.stack([z.real, z.imag], 1).ravel()
            np.clip(np.round(pairs * 128 + 127.5), 0, 255).astype(np.uint8).tofile(file)
    about = {"global": {"core:datatype": "cu8", "core:sample_rate": rate, "core:version": "1.0.0"},
             "captures": [{"core:sample_start": 0, "core:frequency": 27_000_000}], "annotations": []}
    with open(f"{folder}/wide.sigmf-meta", "w") as file:
        json.dump(about, file)


def look(z):
    """Health (mean, moments, clipping) and the averaged spectrum."""
    i, q = z.real, z.imag
    health = (i.mean(), q.mean(), np.mean(i * i), np.mean(q * q), np.mean(i * q), np.count_nonzero((np.abs(i) >= 0.99997) | (np.abs(q) >= 0.99997)))
    hop = SIZE_BINS
    f, p = signal.welch(z, RATE, "blackmanharris", SIZE_BINS, SIZE_BINS - hop, detrend=False, return_onesided=False, scaling="spectrum")
    return health, np.fft.fftshift(f), np.fft.fftshift(p)


def tune(z, offset):
    n = np.arange(len(z))
    taps = signal.firwin(2 * 28 + 1, 0.5 * RATE / 3, fs=RATE, window=("kaiser", 8.96))
    return signal.upfirdn(taps, z * np.exp(-2j * np.pi * offset / RATE * n), 1, 3)[20:-20], RATE / 3


def line(z, window, total, cycles):
    n = np.arange(len(z)) - (len(z) - 1) / 2
    return np.sum(z * window * np.exp(-2j * np.pi * cycles * n)) / total


def modulation(z, rate):
    """Carrier by the phase of 40 ms windows, drift, tone, 61 lines of the cycle, crest, trough, distortion, SINAD."""
    block, hop = int(0.04 * rate), int(0.02 * rate)
    windows = np.lib.stride_tricks.sliding_window_view(z, block)[::hop]
    phases = np.unwrap(np.angle(windows @ signal.windows.hann(block)))
    times = np.arange(len(phases)) * hop / rate
    slope = np.polyfit(times, phases, 1)
    hz = np.diff(phases) / (2 * np.pi * hop / rate)
    grid = np.geomspace(0.03, 4, 60) * times[-1]
    for tau in grid:
        e = np.exp(-times[:-1] / tau)
        np.linalg.lstsq(np.stack([np.ones_like(e), e], 1), hz, rcond=None)
    still = z * np.exp(-1j * np.interp(np.arange(len(z)) / rate, times + block / 2 / rate, phases))
    envelope = np.abs(still)
    size = 131_072
    piece = envelope[(len(envelope) - size) // 2:][:size]
    window = signal.windows.hann(size)
    spectrum = np.abs(np.fft.rfft((piece - piece.mean()) * window))
    coarse = np.argmax(spectrum[60:20_000]) + 60
    tone = optimize.minimize_scalar(lambda f: -abs(line(piece, window, window.sum(), f / rate)), bounds=((coarse - 1) * rate / size, (coarse + 1) * rate / size), method="bounded").x
    z0 = still[(len(still) - size) // 2:][:size]
    lines = np.array([line(z0, window, window.sum(), k * tone / rate) for k in range(-30, 31)])
    angle = 2 * np.pi * np.outer(np.arange(1024) / 1024, np.arange(-30, 31))
    cycle = np.abs(np.exp(1j * angle) @ lines)
    harmonics = np.abs(np.fft.rfft(cycle))[:11]
    n = np.arange(len(envelope))
    c, s = np.cos(2 * np.pi * tone / rate * n), np.sin(2 * np.pi * tone / rate * n)
    rest = envelope - envelope.mean() - 2 * np.mean(envelope * c) * c - 2 * np.mean(envelope * s) * s
    _, p = signal.welch(rest, rate, "blackmanharris", 8192, 4096, detrend=False)
    return slope, cycle.max(), cycle.min(), cycle.mean(), harmonics, p.sum(), np.mean(np.abs(z) ** 2)


def neighbours(f, p, own):
    total = np.cumsum(p[np.abs(f - own) < 25_000])
    np.searchsorted(total, [0.005 * total[-1], 0.995 * total[-1]])
    return [p[np.abs(f - own - o) < w].sum() for o in range(-50_000, 50_001, 10_000) for w in (4000, 5000)]


def once(path):
    laps = [time.perf_counter()]
    raw = np.fromfile(path, "<i2")
    z = (raw[0::2] + 1j * raw[1::2]) / 32768
    _, f, p = look(z)
    laps.append(time.perf_counter())
    own = f[np.argmax(p)]
    channel, rate = tune(z, own)
    laps.append(time.perf_counter())
    modulation(channel, rate)
    laps.append(time.perf_counter())
    neighbours(f, p, own)
    laps.append(time.perf_counter())
    return [1000 * (b - a) for a, b in zip(laps, laps[1:])]


if sys.argv[1] == "make":
    for length in sys.argv[3:]:
        make(sys.argv[2], int(length))
elif sys.argv[1] == "wide":
    wide(sys.argv[2], int(sys.argv[3]))
elif sys.argv[1] == "once":
    once(sys.argv[2])
else:
    rounds = [once(sys.argv[2]) for _ in range(5)]
    print(json.dumps([min(r[k] for r in rounds) for k in range(4)]))
