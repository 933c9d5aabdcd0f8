import ts from 'typescript'
import { describe, expect, it } from 'vitest'
import { productSources } from './textUses'

/** Rooms that speak to people. Tables of core are texts of the trade and have a test of their own. */
const SPEAKING = /^(app|instruments|server|shared)\//
/**
 * Demo records and queries are data; what a simulated bench prints in its answers is not read by people; the
 * commands of those who run the machine speak English (decision 132).
 */
const NOT_SHOWN = /^(server\/(check|demo|db|erase|passwd|transfer|pdf\/\w+Svg)\/?|instruments\/bench\/)/
/** A capital, then a second word or a colon: how a sentence or the label of a value begins. */
const SENTENCE = /^[A-Z][a-z]+(: |,? [a-z$])/
/** Names, not sentences. */
const NAMES = new Set(['As found', 'Atkinson Hyperlegible Mono Variable', 'RF behind '])

/** What a program writes by itself: a text, or a text with gaps. */
function textOf(node: ts.Node): string | null {
  if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)) return node.text
  return ts.isTemplateExpression(node) ? `${node.head.text}$` : null
}
/** Errors for developers, the log, and messages to a person in the catalogue's own call. */
function isForOthers(node: ts.Node): boolean {
  const { parent } = node
  if (ts.isNewExpression(parent)) return /^(Error|TypeError|RangeError)$/.test(parent.expression.getText())
  return ts.isCallExpression(parent) && /^(console\.|log\b|assert)/.test(parent.expression.getText())
}
function sentencesIn(file: string, source: string): string[] {
  const script = file.endsWith('.vue')
    ? (/<script[^>]*>([\s\S]*?)<\/script>/.exec(source)?.[1] ?? '')
    : source
  const found: string[] = []
  const visit = (node: ts.Node): void => {
    if (ts.isImportDeclaration(node) || ts.isTypeNode(node)) return
    const text = textOf(node)
    if (text && SENTENCE.test(text) && !NAMES.has(text) && !isForOthers(node)) found.push(`${file}: ${text}`)
    ts.forEachChild(node, visit)
  }
  visit(ts.createSourceFile(file, script, ts.ScriptTarget.Latest, true))
  return found
}

describe('A sentence that is shown', () => {
  it('is told from a code, a query and a name', () => {
    const source =
      "const a = 'align.next'; say(`Next: ${name}`); throw new Error('Never here'); b('RF behind ')"
    expect(sentencesIn('app/x.ts', source)).toEqual(['app/x.ts: Next: $'])
  })

  it('comes from the catalogue of messages', () => {
    const speaking = [...productSources()].filter(([file]) => SPEAKING.test(file) && !NOT_SHOWN.test(file))
    expect(speaking.length).toBeGreaterThan(300)
    expect(speaking.flatMap(([file, source]) => sentencesIn(file, source))).toEqual([])
  })
})
