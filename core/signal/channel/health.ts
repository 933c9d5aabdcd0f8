import type { SampleBlock } from '../../recording'

const FLOAT_RAIL = 1 - 1e-6
/** So many times more samples at the largest code than at the next are piled up there. */
const PILED_UP = 4

/** Counts and moments of all samples, gathered block by block. */
export class HealthCounter {
  private n = 0
  private sumI = 0
  private sumQ = 0
  private sumII = 0
  private sumQQ = 0
  private sumIQ = 0
  private atRail = 0
  private flat = 0
  private atTop = 0
  private belowTop = 0
  private maxPower = 0
  private maxPart = 0
  private readonly rail: number

  /** @param steps from zero to full scale of the converter; null = floating point */
  constructor(private readonly steps: number | null) {
    this.rail = steps === null ? FLOAT_RAIL : (steps - 1.01) / steps
  }

  add({ i, q }: SampleBlock): void {
    const complex = q.length > 0
    let sumI = 0
    let sumQ = 0
    let sumII = 0
    let sumQQ = 0
    let sumIQ = 0
    let maxPower = this.maxPower
    let near = this.nearTop()
    for (let n = 0; n < i.length; n++) {
      const x = i[n]!
      const y = complex ? q[n]! : 0
      const xx = x * x
      const yy = y * y
      sumI += x
      sumQ += y
      sumII += xx
      sumQQ += yy
      sumIQ += x * y
      if (xx + yy > maxPower) maxPower = xx + yy
      // Few samples lie near the largest so far: only they are looked at closely.
      if (x >= near || -x >= near || y >= near || -y >= near) {
        this.atTheTop(i, q, n)
        near = this.nearTop()
      }
    }
    this.n += i.length
    this.sumI += sumI
    this.sumQ += sumQ
    this.sumII += sumII
    this.sumQQ += sumQQ
    this.sumIQ += sumIQ
    this.maxPower = maxPower
  }

  /** From here on a sample counts: at full scale, at the largest code that was met, or one below it. */
  private nearTop(): number {
    return Math.min(this.rail, this.steps === null ? this.maxPart : this.maxPart - 1.5 / this.steps)
  }

  private atTheTop(i: Float32Array, q: Float32Array, n: number): void {
    const complex = q.length > 0
    const [x, y] = [i[n]!, complex ? q[n]! : 0]
    const [ax, ay] = [Math.abs(x), Math.abs(y)]
    const most = Math.max(ax, ay)
    if (most >= this.rail) this.atRail++
    this.countTop(most)
    if (n < 2) return
    // Three alike at the very top of one part while the other moves, or in a row of sound: cut off.
    const flatI =
      ax > 0 && ax === this.maxPart && x === i[n - 1] && x === i[n - 2] && (!complex || y !== q[n - 1])
    const flatQ =
      complex && ay > 0 && ay === this.maxPart && y === q[n - 1] && y === q[n - 2] && x !== i[n - 1]
    if (flatI || flatQ) this.flat++
  }

  /** How many samples lie at the largest code that was met, and at the one below it. */
  private countTop(most: number): void {
    if (most > this.maxPart) {
      const isNext = this.steps !== null && most - this.maxPart < 1.5 / this.steps
      this.belowTop = isNext ? this.atTop : 0
      this.atTop = 0
      this.flat = 0
      this.maxPart = most
    }
    if (most === this.maxPart) this.atTop++
    else if (this.steps !== null && this.maxPart - most < 1.5 / this.steps) this.belowTop++
  }

  result(): RawHealth {
    const n = Math.max(1, this.n)
    const [dcI, dcQ] = [this.sumI / n, this.sumQ / n]
    const [varI, varQ, cov] = [
      this.sumII / n - dcI * dcI,
      this.sumQQ / n - dcQ * dcQ,
      this.sumIQ / n - dcI * dcQ,
    ]
    return {
      count: this.n,
      dcI,
      dcQ,
      varI,
      varQ,
      cov,
      meanPower: (this.sumII + this.sumQQ) / n,
      maxPower: this.maxPower,
      clippedRatio: Math.max(this.railed(), this.flatAtTop(varI + varQ)) / n,
      overload: this.isOverloaded(n, varI + varQ),
    }
  }

  /**
   * Something that never moves is no crest that was cut, and neither is the largest code of a coarse
   * converter: a crest that was cut lies at it far more often than at the one below.
   */
  private flatAtTop(variance: number): number {
    if (this.steps !== null && this.atTop < PILED_UP * this.belowTop) return 0
    return variance > 1e-6 * this.maxPart ** 2 ? this.flat : 0
  }

  /** Floating point has no rail once anything lies beyond 1: it was scaled, not cut. */
  private railed(): number {
    return this.steps === null && this.maxPart > 2 - FLOAT_RAIL ? 0 : this.atRail
  }

  /**
   * A sine that just touches full scale dwells there too, the longer the coarser the converter: only more
   * than twice that is clipping, or anything at the rail while the vector is longer than the rail allows on
   * its way round.
   */
  private isOverloaded(n: number, variance: number): boolean {
    const touching = this.steps === null ? 0 : (4 * Math.sqrt(2 / this.steps)) / Math.PI
    const rails = this.railed() / n
    const cut = rails > Math.max(2 * touching, 1e-3)
    const beyond = rails > 1e-4 && Math.sqrt(this.maxPower) > 1.06
    return cut || beyond || this.flatAtTop(variance) / n > 1e-3
  }
}

export interface RawHealth {
  readonly count: number
  readonly dcI: number
  readonly dcQ: number
  readonly varI: number
  readonly varQ: number
  readonly cov: number
  readonly meanPower: number
  readonly maxPower: number
  /** samples at full scale, or flat at the top */
  readonly clippedRatio: number
  readonly overload: boolean
}

/**
 * Imbalance of I and Q from their second moments: gain of Q over I, lead of Q, and the mirror line it makes
 * against a line.
 */
export interface Imbalance {
  readonly gain: number
  readonly phaseRad: number
  readonly imageRatio: number
}

/**
 * Valid where the signal itself has no mirror: its own square averages to nothing. Algebra: |1 - g e^-jp|^2 /
 * |1 + g e^jp|^2.
 */
export function imbalanceOf({ varI, varQ, cov }: RawHealth): Imbalance | null {
  if (!(varI > 0) || !(varQ > 0)) return null
  const gain = Math.sqrt(varQ / varI)
  const phaseRad = Math.asin(Math.max(-1, Math.min(1, cov / Math.sqrt(varI * varQ))))
  const cos = 2 * gain * Math.cos(phaseRad)
  return { gain, phaseRad, imageRatio: (1 + gain * gain - cos) / (1 + gain * gain + cos) }
}
