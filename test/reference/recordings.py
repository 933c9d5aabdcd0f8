"""Recordings whose figures are computed by other programs: made here from a seed, the same every time."""
import ctypes
import json
import os

import numpy as np

CENTRE_HZ = 27_185_000.0
SIZE = 0.3


def save(folder, name, z, rate, datatype="ci16_le", centre=CENTRE_HZ):
    meta = {"global": {"core:datatype": datatype, "core:sample_rate": rate, "core:version": "1.2.0"},
            "captures": [{"core:sample_start": 0, "core:frequency": centre}], "annotations": []}
    with open(os.path.join(folder, name + ".sigmf-meta"), "w") as file:
        json.dump(meta, file)
    pairs = np.empty(2 * len(z))
    pairs[0::2], pairs[1::2] = z.real, z.imag
    if datatype == "ci16_le":
        data = np.clip(np.round(pairs * 32768), -32768, 32767).astype("<i2")
        read = data / 32768
    else:
        data = pairs.astype("<f4")
        read = data.astype(float)
    data.tofile(os.path.join(folder, name + ".sigmf-data"))
    return read[0::2] + 1j * read[1::2]


def noise(rng, n, power):
    return np.sqrt(power / 2) * (rng.standard_normal(n) + 1j * rng.standard_normal(n))


def time_of(rate, seconds):
    return np.arange(int(rate * seconds)) / rate


def am(rng, rate, seconds, depth, tone, offset, snr_db, clip=None):
    t = time_of(rate, seconds)
    envelope = np.maximum(0, 1 + depth * np.sin(2 * np.pi * tone * t))
    if clip:
        envelope = np.minimum(envelope, clip)
    return SIZE * envelope * np.exp(2j * np.pi * offset * t) + noise(rng, len(t), SIZE ** 2 * 10 ** (-snr_db / 10))


def fm(rng, rate, seconds, deviation, tone, offset, snr_db):
    t = time_of(rate, seconds)
    phase = -deviation / tone * np.cos(2 * np.pi * tone * t)
    return SIZE * np.exp(2j * np.pi * offset * t + 1j * phase) + noise(rng, len(t), SIZE ** 2 * 10 ** (-snr_db / 10))


def two_tones(rng, rate, seconds, carrier, side, bend, snr_db):
    t = time_of(rate, seconds)
    x = sum(0.2 * np.exp(2j * np.pi * side * f * t) for f in (700, 1900))
    y = x - bend * np.abs(x) ** 2 * x + 0.2 * 10 ** (-42 / 20)
    return y * np.exp(2j * np.pi * carrier * t) + noise(rng, len(t), 0.08 * 10 ** (-snr_db / 10))


def sound(rng, rate, seconds, tone, second, noise_power):
    t = time_of(rate, seconds)
    return 0.25 * np.sin(2 * np.pi * tone * t) + 0.25 * second * np.sin(4 * np.pi * tone * t) + np.sqrt(noise_power) * rng.standard_normal(len(t))


class Complex(ctypes.Structure):
    _fields_ = [("re", ctypes.c_float), ("im", ctypes.c_float)]


def sent_by_liquid(kind, index, rate, seconds, tone, offset):
    """A tone through the amplitude or frequency modulator of liquid-dsp; index is the depth, or the deviation over the rate."""
    lib = ctypes.CDLL("libliquid.so.1")
    x = np.sin(2 * np.pi * tone * time_of(rate, seconds)).astype("f4")
    if kind == "am":
        lib.ampmodem_create.restype, lib.ampmodem_create.argtypes = ctypes.c_void_p, [ctypes.c_float, ctypes.c_int, ctypes.c_int]
        lib.ampmodem_modulate.argtypes = [ctypes.c_void_p, ctypes.c_float, ctypes.POINTER(Complex)]
        modulator, send = lib.ampmodem_create(index, 0, 0), lib.ampmodem_modulate
    else:
        lib.freqmod_create.restype, lib.freqmod_create.argtypes = ctypes.c_void_p, [ctypes.c_float]
        lib.freqmod_modulate.argtypes = [ctypes.c_void_p, ctypes.c_float, ctypes.POINTER(Complex)]
        modulator, send = lib.freqmod_create(index), lib.freqmod_modulate
    out, sample = np.empty(len(x), complex), Complex()
    for n, value in enumerate(x):
        send(modulator, float(value), ctypes.byref(sample))
        out[n] = sample.re + 1j * sample.im
    return SIZE * out * np.exp(2j * np.pi * offset * time_of(rate, seconds))


def all_recordings(folder):
    """Name -> (what it is, samples as they are read back, sample rate)."""
    rng = np.random.default_rng(27)
    made = {}
    for name, rate, depth, tone, offset, snr, clip in [
            ("am-30", 48_000, 0.30, 1000.0, 4321.5, 60, None), ("am-85-noisy", 48_000, 0.85, 812.3, -7003.7, 20, None), ("am-95", 96_000, 0.95, 2500.0, 15_000.2, 50, None),
            ("am-130", 250_000, 1.30, 1000.0, 21_012.0, 55, None), ("am-clipped", 250_000, 0.90, 1000.0, 12_345.6, 60, 1.6)]:
        made[name] = ("am", save(folder, name, am(rng, rate, 1.0, depth, tone, offset, snr, clip), rate), rate)
    for name, rate, deviation, tone, offset, snr in [
            ("fm-100", 48_000, 100.0, 1000.0, 3333.3, 50), ("fm-2000", 48_000, 2000.0, 1000.0, -4100.0, 60), ("fm-2500-noisy", 96_000, 2500.0, 600.0, 9000.5, 20), ("fm-5000", 250_000, 5000.0, 2100.0, -30_000.0, 55)]:
        made[name] = ("fm", save(folder, name, fm(rng, rate, 1.0, deviation, tone, offset, snr), rate, "cf32_le"), rate)
    made["liquid-am"] = ("am", save(folder, "liquid-am", sent_by_liquid("am", 0.6, 48_000, 1.0, 1000.0, 5000.0), 48_000), 48_000)
    made["liquid-fm"] = ("fm", save(folder, "liquid-fm", sent_by_liquid("fm", 2000 / 48_000, 48_000, 1.0, 800.0, 5000.0), 48_000), 48_000)
    for name, rate, carrier, side, bend in [("usb", 48_000, 3000.0, 1, 1.25), ("lsb", 96_000, -11_000.0, -1, 0.4)]:
        made[name] = ("ssb", save(folder, name, two_tones(rng, rate, 1.0, carrier, side, bend, 70), rate), rate)
    for name, tone, second, power in [("tone-clean", 1000.4, 0.03, 1e-9), ("tone-12db", 1000.0, 0.0, 0.25 ** 2 / 2 / (10 ** 1.2 - 1))]:
        x = sound(rng, 48_000, 2.0, tone, second, power).astype("<f4").astype(float)
        made[name] = ("audio", x, 48_000)
        from scipy.io import wavfile
        wavfile.write(os.path.join(folder, name + ".wav"), 48_000, x.astype("<f4"))
    return made
