import { spawnSync } from 'node:child_process'
import { ensureDebian } from './packages.mjs'

/** Debian's own Python, which its packages belong to. */
export const PYTHON = '/usr/bin/python3'

/**
 * Programs that compute the same figures by themselves: SciPy with NumPy, liquid-dsp for signals, ngspice for
 * circuits.
 */
export async function ensureReferences() {
  const there = () =>
    spawnSync(PYTHON, ['-c', 'import ctypes, scipy.signal; ctypes.CDLL("libliquid.so.1")']).status === 0
  await ensureDebian('SciPy and liquid-dsp, the outside references', there, ['python3-scipy', 'libliquid1'])
  await ensureDebian(
    'ngspice, the outside reference of the circuits',
    () => spawnSync('ngspice', ['-v']).status === 0,
    ['ngspice'],
  )
}
