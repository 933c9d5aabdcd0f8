/** Inverse of a small positive definite matrix, by Gauss and Jordan. */
export function inverse(matrix: readonly (readonly number[])[]): number[][] {
  const n = matrix.length
  const work = matrix.map((row, i) => [...row, ...Array.from({ length: n }, (_, j) => (i === j ? 1 : 0))])
  for (let k = 0; k < n; k++) {
    const pivot = work
      .slice(k)
      .reduce((best, row, i) => (Math.abs(row[k]!) > Math.abs(work[best]![k]!) ? k + i : best), k)
    ;[work[k], work[pivot]] = [work[pivot]!, work[k]!]
    const scale = work[k]![k]!
    work[k] = work[k]!.map(v => v / scale)
    for (let i = 0; i < n; i++) {
      if (i === k) continue
      const factor = work[i]![k]!
      work[i] = work[i]!.map((v, j) => v - factor * work[k]![j]!)
    }
  }
  return work.map(row => row.slice(n))
}
