import { readFileSync } from 'node:fs'
import ts from 'typescript'
import { filesUnder } from './filesUnder'

/** A place in the source that asks for a message: its code and the names that it gives. */
export interface TextUse {
  readonly file: string
  readonly code: string
  /** null = an object that is put together elsewhere */
  readonly given: readonly string[] | null
}

const ROOMS = ['app', 'cli', 'core', 'instruments', 'server', 'shared']
const CALL = /\b(?:t|message)\(\s*'([\w.]+)'\s*(?:,\s*(?=\{))?/g
const LITERAL = /['"`]([a-z]\w*\.\w+)['"`]/g

/** Sources of the product as text, tests left out. */
export function productSources(): ReadonlyMap<string, string> {
  const files = filesUnder(ROOMS, /\.(ts|vue)$/).filter(f => !f.endsWith('.test.ts'))
  return new Map(files.map(f => [f, readFileSync(f, 'utf8')]))
}

/** Every call `t('code', { … })` or `message('code', { … })`. */
export function textUses(sources: ReadonlyMap<string, string>): TextUse[] {
  return [...sources].flatMap(([file, source]) =>
    [...source.matchAll(CALL)].map(call => ({
      file,
      code: call[1]!,
      given: source[call.index + call[0].length] === '{' ? namesOf(source, call.index + call[0].length) : [],
    })),
  )
}

/** Everything in quotes that could be a code: tables hold codes as well as calls do. */
export function quoted(sources: ReadonlyMap<string, string>): ReadonlySet<string> {
  return new Set([...sources.values()].flatMap(source => [...source.matchAll(LITERAL)].map(m => m[1]!)))
}

function namesOf(source: string, from: number): string[] | null {
  // Templates write a double quote as an entity.
  const text = source.slice(from).replaceAll('&quot;', '"')
  const parsed = ts.createSourceFile('x.ts', `(${text}`, ts.ScriptTarget.Latest, true)
  let found: ts.ObjectLiteralExpression | null = null
  const visit = (node: ts.Node): void => {
    if (!found && ts.isObjectLiteralExpression(node)) found = node
    else if (!found) ts.forEachChild(node, visit)
  }
  visit(parsed)
  const names = (found as ts.ObjectLiteralExpression | null)?.properties.map(p => p.name?.getText() ?? null)
  return names && !names.includes(null) ? (names as string[]) : null
}
