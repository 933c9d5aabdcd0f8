"""
The figures of the recordings, computed by SciPy: another program, other methods. Two are sent by the modulators of liquid-dsp.
Usage: python3 reference.py FOLDER; writes the recordings there and the figures to standard output as JSON.
"""
import ctypes
import json
import sys

import numpy as np
import scipy
import scipy.interpolate
import scipy.special
from scipy import optimize, signal

from recordings import all_recordings

OWN_HZ = 5000
INNER_HZ = 4000


def carrier_offset(z, rate):
    """Peak of the transform, then a line through the unwrapped phase of what a narrow filter leaves."""
    size = 1 << 20
    spectrum = np.fft.fft(z * signal.windows.hann(len(z)), size)
    coarse = np.fft.fftfreq(size, 1 / rate)[np.argmax(np.abs(spectrum))]
    t = np.arange(len(z)) / rate
    taps = signal.firwin(4001, 60, fs=rate, window=("kaiser", 8))
    low = signal.fftconvolve(z * np.exp(-2j * np.pi * coarse * t), taps, "valid")
    times = np.arange(len(low)) / rate
    return coarse + np.polyfit(times, np.unwrap(np.angle(low)), 1)[0] / (2 * np.pi)


def sine_fit(x, rate, start):
    t = np.arange(len(x)) / rate

    def columns(f):
        return np.stack([np.ones_like(t), np.cos(2 * np.pi * f * t), np.sin(2 * np.pi * f * t)], 1)

    def rest(f):
        c = columns(f)
        return np.sum((x - c @ np.linalg.lstsq(c, x, rcond=None)[0]) ** 2)

    width = 0.4 * rate / len(x)
    found = optimize.minimize_scalar(rest, bounds=(start - width, start + width), method="bounded", options={"xatol": 1e-7})
    c = columns(found.x)
    mean, a, b = np.linalg.lstsq(c, x, rcond=None)[0]
    return found.x, mean, np.hypot(a, b), x - c @ np.array([mean, a, b])


def tone_of(x, rate, low=100, high=6000):
    size = 1 << 19
    spectrum = np.abs(np.fft.rfft((x - x.mean()) * signal.windows.hann(len(x)), size))
    f = np.fft.rfftfreq(size, 1 / rate)
    spectrum[(f < low) | (f > high)] = 0
    return f[np.argmax(spectrum)]


def cycle_of(x, rate, tone, points=400):
    """Mean of all cycles, by interpolating each at the same places."""
    period = rate / tone
    count = int((len(x) - 4) / period)
    places = (np.arange(count)[:, None] + np.arange(points)[None, :] / points) * period + 2
    spline = scipy.interpolate.CubicSpline(np.arange(len(x)), x)
    return spline(places).mean(axis=0)


def spectrum_of(z, rate, own, carrier_power):
    size = 1 << int(np.floor(np.log2(2 * rate / 32)))
    f, p = signal.welch(z, rate, "blackmanharris", size, size // 2, detrend=False, return_onesided=False, scaling="density")
    f, p = np.fft.fftshift(f), np.fft.fftshift(p)
    df = f[1] - f[0]

    def power(low, high):
        """Bins that an edge cuts count by the part inside."""
        share = np.clip(np.minimum(f + df / 2, high) - np.maximum(f - df / 2, low), 0, df) / df
        return np.sum(p * share) * df

    inside = power(own - OWN_HZ, own + OWN_HZ)
    return {str(int(o)): [10 * np.log10(power(own + o - OWN_HZ, own + o + OWN_HZ) / inside), 10 * np.log10(power(own + o - INNER_HZ, own + o + INNER_HZ) / carrier_power)]
            for o in (-20_000, -10_000, 10_000, 20_000) if abs(own + o) + OWN_HZ <= rate / 2}


def am_figures(z, rate):
    offset = carrier_offset(z, rate)
    still = z * np.exp(-2j * np.pi * offset * np.arange(len(z)) / rate)
    still *= np.exp(-1j * np.angle(still.mean()))
    tone, mean, fundamental, _ = sine_fit(still.real, rate, tone_of(still.real, rate))
    cycle = np.abs(cycle_of(still.real, rate, tone) + 1j * cycle_of(still.imag, rate, tone))
    return {"offsetHz": offset, "audioHz": tone, "depthPositive": cycle.max() / cycle.mean() - 1, "depthNegative": 1 - cycle.min() / cycle.mean(), "depthFundamental": fundamental / mean, "adjacent": spectrum_of(z, rate, offset, mean ** 2)}


def fm_figures(z, rate):
    t = np.arange(len(z)) / rate
    taps = signal.firwin(801, min(16_000, 0.45 * rate), fs=rate, window=("kaiser", 8))
    rough = np.mean(np.diff(np.unwrap(np.angle(z)))) * rate / (2 * np.pi)
    low = signal.fftconvolve(z * np.exp(-2j * np.pi * rough * t), taps, "valid")
    phase = np.unwrap(np.angle(low))
    slope = np.polyfit(np.arange(len(phase)) / rate, phase, 1)[0] / (2 * np.pi)
    wave = phase - np.polyval(np.polyfit(np.arange(len(phase)), phase, 1), np.arange(len(phase)))
    tone, _, beta, _ = sine_fit(wave, rate, tone_of(wave, rate))
    return {"offsetHz": rough + slope, "audioHz": tone, "deviationFundamentalHz": beta * tone, "beta": beta, "carrierLineDbc": 20 * np.log10(abs(scipy.special.j0(beta)))}


def ssb_figures(z, rate):
    window = signal.windows.blackmanharris(len(z))
    spectrum = np.abs(np.fft.fft(z * window)) / window.sum()
    f = np.fft.fftfreq(len(z), 1 / rate)
    first = f[np.argmax(spectrum)]
    near = np.abs(f - first) > 300
    second = f[near][np.argmax(spectrum[near])]
    low, high = sorted((first, second))

    def line(hz):
        return spectrum[np.argmin(np.abs(f - hz))]

    tone = np.sqrt((line(low) ** 2 + line(high) ** 2) / 2)
    gap = high - low
    pep = np.max(np.abs(signal.resample(z[2000:2000 + 8192], 8192 * 8))[2000:-2000]) ** 2
    return {"imd3DbBelowTone": 20 * np.log10(tone / max(line(low - gap), line(high + gap))), "pepToMeanDb": 10 * np.log10(pep / np.mean(np.abs(z) ** 2)), "tones": [low, high]}


def audio_figures(x, rate):
    tone, _, amplitude, rest = sine_fit(x, rate, tone_of(x, rate))
    f, p = signal.welch(rest, rate, "blackmanharris", 8192, 4096, detrend=False)
    voice = p[(f >= 300) & (f <= 3400)].sum() * (f[1] - f[0])
    power = amplitude ** 2 / 2
    _, _, second, _ = sine_fit(rest, rate, 2 * tone)
    return {"fundamentalHz": tone, "sinadDb": 10 * np.log10((power + np.mean(rest ** 2)) / np.mean(rest ** 2)), "sinadVoiceDb": 10 * np.log10((power + voice) / voice), "secondDbc": 20 * np.log10(second / amplitude)}


def main(folder):
    compute = {"am": am_figures, "fm": fm_figures, "ssb": ssb_figures, "audio": audio_figures}
    figures = {}
    for name, (kind, z, rate) in all_recordings(folder).items():
        figures[name] = {"kind": kind, **compute[kind](z, rate)}
    lib = ctypes.CDLL("libliquid.so.1")
    lib.liquid_libversion.restype = ctypes.c_char_p
    print(json.dumps({"versions": {"scipy": scipy.__version__, "numpy": np.__version__, "liquid-dsp": lib.liquid_libversion().decode()}, "figures": figures}, indent=1))


main(sys.argv[1])
