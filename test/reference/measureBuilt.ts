import { buildMeasure } from '../../scripts/lib/measureCommand.mjs'

/** The command is tested as the sources are now. */
export default async function setup(): Promise<void> {
  await buildMeasure()
}
