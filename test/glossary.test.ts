import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { filesUnder } from './filesUnder'

const FOLDERS = ['core', 'shared', 'server', 'app', 'instruments', 'cli']
const COMMENTS = /\/\*[\s\S]*?\*\/|(?<![:'"`])\/\/.*|^\s*--.*/gm

/** Every word of the program without its comments: names, kinds, columns, and parts of them in strings. */
function wordsOfTheCode(): ReadonlySet<string> {
  const words = new Set<string>()
  for (const file of filesUnder(FOLDERS, /(?<!\.test)\.(ts|vue|sql)$/))
    for (const [word] of readFileSync(file, 'utf8')
      .replace(COMMENTS, '')
      .matchAll(/[A-Za-z][\w-]*/g))
      words.add(word)
  return words
}

/** The words of the column "in code" of the glossary, each with the concept that it stands for. */
const named = readFileSync('docs/glossary.md', 'utf8')
  .split('\n')
  .flatMap(row => {
    const [, concept, , inCode] = row.split('|')
    return [...(inCode ?? '').matchAll(/`([^`]+)`/g)].map(([, word]) => [word!, concept!.trim()] as const)
  })

describe('docs/glossary.md', () => {
  it('names words that the code has', () => {
    const words = wordsOfTheCode()
    expect(named.length).toBeGreaterThan(80)
    expect(named.filter(([word]) => !words.has(word))).toEqual([])
  })
  it('gives no word of the code two meanings', () => {
    const first = new Map([...named].reverse())
    expect(named.filter(([word, concept]) => first.get(word) !== concept)).toEqual([])
  })
})
