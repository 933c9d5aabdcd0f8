import { exportTo } from './lib/archive.mjs'

const [file, ...more] = process.argv.slice(2)
if (!file || more.length > 0) {
  console.error('npm run export -- FILE')
  process.exit(2)
}
try {
  await exportTo(file)
} catch (error) {
  console.error(error instanceof Error ? error.message : error)
  process.exitCode = 1
}
