/**
 * Zeros of the Bessel function J0: modulation indices at which the carrier of an FM signal vanishes. Source:
 * Abramowitz and Stegun, table 9.5 (from memory); the series of J0 vanishes there, see the test.
 */
export const J0_ZEROS = [2.404826, 5.520078] as const
