/** Connected areas of a mask (8-neighbourhood), largest first. */
export interface Component {
  /** Pixels. */
  readonly size: number
  /** Centroid, fractions. */
  readonly x: number
  readonly y: number
  /** Bounding rectangle, fractions. */
  readonly bounds: { readonly x: number, readonly y: number, readonly w: number, readonly h: number }
  /** Label in the label plane. */
  readonly label: number
}

export interface Components {
  /** 0 outside, else the component's label. */
  readonly labels: Int32Array
  readonly list: readonly Component[]
}

/**
 * @param inside 1 where the mask holds. @param most how many components to list.
 * Two passes with union–find (A. Rosenfeld and J. Pfaltz, JACM 13, 1966).
 */
export function componentsOf(inside: Uint8Array, width: number, height: number, most: number): Components {
  const labels = new Int32Array(width * height)
  const parent: number[] = [0]
  const rootOf = (label: number): number => {
    let root = label
    while (parent[root] !== root) root = parent[root] = parent[parent[root]]
    return root
  }
  const join = (p: number, q: number): number => {
    const a = rootOf(p), b = rootOf(q)
    if (a === b) return a
    parent[Math.max(a, b)] = Math.min(a, b)
    return Math.min(a, b)
  }
  for (let y = 0, i = 0; y < height; y++) {
    for (let x = 0; x < width; x++, i++) {
      if (!inside[i]) continue
      let label = x > 0 ? labels[i - 1] : 0
      if (y > 0) {
        const up = i - width
        for (let k = x > 0 ? -1 : 0; k <= (x < width - 1 ? 1 : 0); k++) {
          const other = labels[up + k]
          if (other) label = label ? join(label, other) : other
        }
      }
      if (!label) parent.push(label = parent.length)
      labels[i] = label
    }
  }
  return { labels, list: gather(labels, rootOf, width, height).slice(0, most) }
}

function gather(labels: Int32Array, rootOf: (label: number) => number, width: number, height: number): Component[] {
  interface Sum { n: number, sx: number, sy: number, x0: number, x1: number, y0: number, y1: number, label: number }
  const sums = new Map<number, Sum>()
  for (let y = 0, i = 0; y < height; y++) {
    for (let x = 0; x < width; x++, i++) {
      if (!labels[i]) continue
      const label = labels[i] = rootOf(labels[i])
      let sum = sums.get(label)
      if (!sum) sums.set(label, sum = { n: 0, sx: 0, sy: 0, x0: x, x1: x, y0: y, y1: y, label })
      sum.n++
      sum.sx += x
      sum.sy += y
      if (x < sum.x0) sum.x0 = x
      if (x > sum.x1) sum.x1 = x
      sum.y1 = y
    }
  }
  return [...sums.values()].sort((p, q) => q.n - p.n).map(s => ({
    size: s.n,
    x: (s.sx / s.n + 0.5) / width,
    y: (s.sy / s.n + 0.5) / height,
    bounds: { x: s.x0 / width, y: s.y0 / height, w: (s.x1 + 1 - s.x0) / width, h: (s.y1 + 1 - s.y0) / height },
    label: s.label
  }))
}
