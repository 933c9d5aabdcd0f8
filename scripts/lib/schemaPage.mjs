import dagre from '@dagrejs/dagre'

/** The tables of a database, read from the database itself, as a page and a picture. */

const LINE_PX = 17
const CHARACTER_PX = 7.1
const PAD_PX = 8
const GAP_PX = 18

const COLUMNS = `
  select c.relname as "table", a.attname as "column", format_type(a.atttypid, a.atttypmod) as "type",
         a.attnotnull as "required",
         exists (select 1 from pg_constraint p
                  where p.conrelid = c.oid and p.contype = 'p' and a.attnum = any (p.conkey)) as "isKey"
    from pg_class c
    join pg_namespace n on n.oid = c.relnamespace and n.nspname = 'public'
    join pg_attribute a on a.attrelid = c.oid and a.attnum > 0 and not a.attisdropped
   where c.relkind = 'r' and c.relname <> 'schema_version'
   order by c.relname, a.attnum`
const REFERENCES = `
  select distinct f.conrelid::regclass::text as "from", f.confrelid::regclass::text as "to"
    from pg_constraint f
    join pg_namespace n on n.oid = f.connamespace and n.nspname = 'public'
   where f.contype = 'f'
   order by 1, 2`

/** @returns {Promise<{ tables: Map<string, object[]>, references: { from: string, to: string }[] }>} */
export async function readSchema(client) {
  const columns = await client.query(COLUMNS)
  const references = await client.query(REFERENCES)
  const tables = new Map()
  for (const { table, ...column } of columns.rows) tables.set(table, [...(tables.get(table) ?? []), column])
  return { tables, references: references.rows }
}

export function schemaPage({ tables, references }) {
  const of = (table, key, other) =>
    references
      .filter(r => r[key] === table)
      .map(r => `\`${r[other]}\``)
      .join(', ')
  const rows = [...tables].map(([name, columns]) => {
    const keys = columns.filter(c => c.isKey).map(c => `\`${c.column}\``)
    return `| \`${name}\` | ${keys.join(', ')} | ${columns.length} | ${of(name, 'from', 'to')} |`
  })
  return [
    '# Tables',
    '',
    'Made by `npm run schema` from a database after all migrations (`server/db/migrations`); a test fails when',
    'this page or the picture is not what the database says.',
    '',
    '![Tables, their columns and references](database.svg)',
    '',
    '| table | primary key | columns | refers to |',
    '|---|---|---|---|',
    ...rows,
    '',
  ].join('\n')
}

const escaped = text => text.replaceAll('&', '&amp;').replaceAll('<', '&lt;')

/** Boxes with their columns, key columns first marked by a dot, an arrow to each table referred to. */
export function schemaPicture({ tables, references }) {
  const graph = new dagre.graphlib.Graph()
  graph.setGraph({ rankdir: 'LR', nodesep: 18, ranksep: 70, marginx: 12, marginy: 12 })
  graph.setDefaultEdgeLabel(() => ({}))
  const lines = new Map(
    [...tables].map(([name, columns]) => [
      name,
      columns.map(c => `${c.isKey ? '\u2022 ' : ''}${c.column}: ${c.type}${c.required ? '' : '?'}`),
    ]),
  )
  const related = new Set(references.flatMap(r => [r.from, r.to]))
  const alone = []
  for (const [name, texts] of lines) {
    const size = sizeOf(name, texts)
    if (related.has(name)) graph.setNode(name, size)
    else alone.push([name, size])
  }
  for (const { from, to } of references) if (from !== to) graph.setEdge(from, to)
  dagre.layout(graph)
  const drawn = graph.graph()
  const row = inRow(alone, drawn.height + GAP_PX)
  const width = Math.max(drawn.width, row.width)
  const height = drawn.height + GAP_PX + row.height
  const placeOf = name => row.places.get(name) ?? graph.node(name)
  const boxes = [...lines].map(([name, texts]) => box(name, texts, placeOf(name)))
  const arrows = graph.edges().map(e => arrow(graph.edge(e).points))
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${Math.ceil(width)} ${Math.ceil(height)}"`,
    ' font-family="monospace" font-size="11.5">',
    '<title>Tables, their columns and references</title>',
    '<defs><marker id="to" viewBox="0 0 8 8" refX="8" refY="4" markerWidth="8" markerHeight="8"',
    ' orient="auto"><path d="M0 0 8 4 0 8z" fill="#446"/></marker></defs>',
    '<rect width="100%" height="100%" fill="#fff"/>',
    ...arrows,
    ...boxes,
    '</svg>',
    '',
  ].join('\n')
}

function sizeOf(name, texts) {
  const longest = Math.max(name.length + 2, ...texts.map(t => t.length))
  return {
    width: Math.ceil(longest * CHARACTER_PX) + 2 * PAD_PX,
    height: (texts.length + 1) * LINE_PX + 2 * PAD_PX,
  }
}

/** Tables that refer to none and that none refers to, side by side. */
function inRow(tables, topPx) {
  const places = new Map()
  let left = 12
  for (const [name, { width, height }] of tables) {
    places.set(name, { x: left + width / 2, y: topPx + height / 2, width, height })
    left += width + GAP_PX
  }
  return { places, width: left, height: Math.max(0, ...tables.map(([, { height }]) => height)) + 12 }
}

function box(name, texts, { x, y, width, height }) {
  const [left, top] = [Math.round(x - width / 2), Math.round(y - height / 2)]
  const at = i => top + PAD_PX + LINE_PX * (i + 1) - 5
  return [
    `<rect x="${left}" y="${top}" width="${Math.round(width)}" height="${Math.round(height)}" rx="4"`,
    ' fill="#f4f5f9" stroke="#446"/>',
    `<text x="${left + PAD_PX}" y="${at(0)}" font-weight="bold">${escaped(name)}</text>`,
    ...texts.map((t, i) => `<text x="${left + PAD_PX}" y="${at(i + 1)}">${escaped(t)}</text>`),
  ].join('\n')
}

function arrow(points) {
  const path = points
    .map(({ x, y }, i) => `${i === 0 ? 'M' : 'L'}${Math.round(x)} ${Math.round(y)}`)
    .join(' ')
  return `<path d="${path}" fill="none" stroke="#446" marker-end="url(#to)"/>`
}
