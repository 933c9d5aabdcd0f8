"""
Waveforms of recordings of known truth, demodulated by SciPy: envelope or frequency, limited to its audio, its extremes and quantiles.
Reads [{"file": ..., "rateHz": ..., "kind": "am" or "fm", "audioHz": ...}] (complex64) from standard input, prints the figures as JSON.
"""
import json
import sys

import numpy as np
from scipy import signal


def limited(x, rate, edge):
    """Linear phase, 80 dB down a tenth of the edge beyond it, flat to 1e-4 below it; ends left out."""
    count, beta = signal.kaiserord(80, 0.15 * edge / (rate / 2))
    count |= 1
    taps = signal.firwin(count, 1.075 * edge, window=("kaiser", beta), fs=rate)
    return signal.oaconvolve(x, taps, mode="valid")


def carrier_of(z, rate):
    """The strongest line, by a padded transform and a parabola through its logarithm."""
    window = signal.windows.hann(len(z))
    size = 4 * 2 ** int(np.ceil(np.log2(len(z))))
    power = np.log(np.abs(np.fft.fft(z * window, size)) ** 2 + 1e-300)
    k = int(np.argmax(power))
    a, b, c = power[k - 1], power[k], power[(k + 1) % size]
    bins = k + 0.5 * (a - c) / (a - 2 * b + c)
    return (bins - size if bins > size / 2 else bins) * rate / size


def am(z, rate, audio):
    offset = carrier_of(z, rate)
    still = z * np.exp(-2j * np.pi * offset / rate * np.arange(len(z)))
    envelope = np.abs(limited(still, rate, audio))
    mean = envelope.mean()
    q = lambda share: np.quantile(envelope, share) / mean
    return {
        "offsetHz": offset, "crest": envelope.max() / mean - 1, "crest999": q(0.999) - 1, "crest99": q(0.99) - 1,
        "trough": 1 - envelope.min() / mean, "trough99": 1 - q(0.01), "pepDbfs": 20 * np.log10(envelope.max()),
        "meanPowerDbfs": 10 * np.log10(np.mean(envelope ** 2)),
    }


def fm(z, rate, audio):
    hz = np.diff(np.unwrap(np.angle(z))) * rate / (2 * np.pi)
    mean = hz.mean()
    moves = limited(hz - mean, rate, audio)
    q = lambda share: np.quantile(moves, share)
    return {
        "offsetHz": mean, "up": moves.max(), "up999": q(0.999), "up99": q(0.99), "down": -moves.min(), "down99": -q(0.01),
    }


def figures(asked):
    z = np.fromfile(asked["file"], "<c8").astype(complex)
    return (am if asked["kind"] == "am" else fm)(z, asked["rateHz"], asked["audioHz"])


print(json.dumps([figures(asked) for asked in json.load(sys.stdin)]))
