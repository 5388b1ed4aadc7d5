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
      if (inside[i] === 0) continue
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
  return { labels, list: gather(labels, rootOf, width, height, parent.length).slice(0, most) }
}

function gather(labels: Int32Array, rootOf: (label: number) => number, width: number, height: number, made: number): Component[] {
  // Roots first, to indices from 1: the picture is then walked once, with a table look-up a pixel.
  const index = new Int32Array(made)
  let count = 0
  for (let label = 1; label < made; label++) if (rootOf(label) === label) index[label] = ++count
  for (let label = 1; label < made; label++) index[label] = index[rootOf(label)]
  const n = new Int32Array(count + 1), sx = new Float64Array(count + 1), sy = new Float64Array(count + 1)
  const x0 = new Int32Array(count + 1).fill(width), x1 = new Int32Array(count + 1), y0 = new Int32Array(count + 1).fill(height), y1 = new Int32Array(count + 1)
  for (let y = 0, i = 0; y < height; y++) {
    for (let x = 0; x < width; x++, i++) {
      if (labels[i] === 0) continue
      const c = index[labels[i]]
      labels[i] = c
      n[c]++
      sx[c] += x
      sy[c] += y
      if (x < x0[c]) x0[c] = x
      if (x > x1[c]) x1[c] = x
      if (y < y0[c]) y0[c] = y
      y1[c] = y
    }
  }
  return Array.from({ length: count }, (_, k) => k + 1).sort((p, q) => n[q] - n[p]).map(c => ({
    size: n[c],
    x: (sx[c] / n[c] + 0.5) / width,
    y: (sy[c] / n[c] + 0.5) / height,
    bounds: { x: x0[c] / width, y: y0[c] / height, w: (x1[c] + 1 - x0[c]) / width, h: (y1[c] + 1 - y0[c]) / height },
    label: c
  }))
}
