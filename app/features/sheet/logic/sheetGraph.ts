import dagre from '@dagrejs/dagre'
import { comesAfter, cycleIn, type Step } from '#core/sheet'

export interface GraphNode {
  readonly id: string
  readonly title: string
  readonly x: number
  readonly y: number
  readonly width: number
  readonly height: number
}
export interface GraphEdge {
  readonly from: string
  readonly to: string
  readonly path: string
  readonly skips: boolean
}
export interface StepGraph {
  readonly width: number
  readonly height: number
  readonly nodes: readonly GraphNode[]
  readonly edges: readonly GraphEdge[]
}

const NODE = { width: 168, height: 46 }

/** Which step needs which, laid out from left to right; null while steps wait for each other in a ring. */
export function stepGraph(steps: readonly Step[]): StepGraph | null {
  if (cycleIn(steps)) return null
  const graph = new dagre.graphlib.Graph()
  graph.setGraph({ rankdir: 'LR', nodesep: 14, ranksep: 44, marginx: 6, marginy: 6 })
  graph.setDefaultEdgeLabel(() => ({}))
  for (const s of steps) graph.setNode(s.id, { ...NODE })
  const known = new Set(steps.map(s => s.id))
  const edges = steps.flatMap(s =>
    comesAfter(s)
      .filter(id => known.has(id))
      .map(from => ({ from, to: s.id, skips: s.skipIf === from && !s.needs.includes(from) })),
  )
  for (const e of edges) graph.setEdge(e.from, e.to)
  dagre.layout(graph)
  return {
    width: graph.graph().width ?? 0,
    height: graph.graph().height ?? 0,
    nodes: steps.map(s => {
      const { x, y } = graph.node(s.id) as { x: number; y: number }
      return { id: s.id, title: s.title, x: x - NODE.width / 2, y: y - NODE.height / 2, ...NODE }
    }),
    edges: edges.map(e => ({
      ...e,
      path: (graph.edge(e.from, e.to) as { points: { x: number; y: number }[] }).points
        .map((p, i) => `${i === 0 ? 'M' : 'L'}${drawn(p.x)} ${drawn(p.y)}`)
        .join(''),
    })),
  }
}

/** A tenth of a unit of the drawing is finer than any screen. */
const drawn = (v: number) => Math.round(v * 10) / 10
