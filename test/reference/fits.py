"""
Fits and interpolations by SciPy and NumPy: warm-up drift, least squares with priors, monotone cubic.
Usage: python3 fits.py < cases.json; writes the figures to standard output as JSON.
"""
import json
import sys

import numpy as np
from scipy import interpolate, optimize


def drift(case):
    t, hz = np.array(case["atS"]), np.array(case["hz"])
    t = t - t[0]

    def model(t, settles, amplitude, tau):
        return settles + amplitude * np.exp(-t / tau)

    (settles, amplitude, tau), _ = optimize.curve_fit(model, t, hz, p0=[hz[-1], hz[0] - hz[-1], 300], maxfev=20000)
    return {"settlesHz": settles, "amplitudeHz": amplitude, "tauS": tau}


def priors(case):
    """Priors are further rows of the same system: the unknown itself, read as nought."""
    rows = np.array(case["rows"]) / np.array(case["sigma"])[:, None]
    right = np.array(case["errors"]) / np.array(case["sigma"])
    prior = np.diag(1 / np.array(case["prior"]))
    a = np.vstack([rows, prior])
    b = np.concatenate([right, np.zeros(len(prior))])
    values = np.linalg.lstsq(a, b, rcond=None)[0]
    return {"values": values.tolist(), "sigmas": np.sqrt(np.diag(np.linalg.pinv(a.T @ a))).tolist()}


def monotone(case):
    return interpolate.PchipInterpolator(case["x"], case["y"])(case["at"]).tolist()


cases = json.load(sys.stdin)
json.dump({"drift": [drift(c) for c in cases["drift"]], "priors": [priors(c) for c in cases["priors"]], "monotone": [monotone(c) for c in cases["monotone"]]}, sys.stdout)
