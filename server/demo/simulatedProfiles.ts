/** Which profile reads which instrument of the simulated bench. */
export const SIMULATED_PROFILES: Readonly<Record<string, string>> = {
  power: 'scpi-power-meter', counter: 'scpi-counter', modulation: 'scpi-modulation-meter', supply: 'scpi-supply',
}
