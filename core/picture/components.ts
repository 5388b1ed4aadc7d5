/** Connected areas of a mask (8-neighbourhood), largest first. */
export interface Component {
  /** Pixels. */
  readonly size: number
  /** Centroid, fractions. */
  readonly x: number
  readonly y: number
  /** Bounding rectangle, fractions. */
  readonly bounds: { readonly x: number; readonly y: number; readonly w: number; readonly h: number }
  /** Label in the label plane. */
  readonly label: number
}

export interface Components {
  /** 0 outside, else the component's label. */
  readonly labels: Int32Array
  readonly list: readonly Component[]
}

/** Runs of set pixels, row by row: first and past-the-last column, and row. */
interface Runs {
  readonly count: number
  readonly from: Int32Array
  readonly to: Int32Array
  readonly row: Int32Array
}

function runsOf(inside: Uint8Array, width: number, height: number): Runs {
  let from = new Int32Array(1024),
    to = new Int32Array(1024),
    row = new Int32Array(1024)
  const longer = (list: Int32Array): Int32Array<ArrayBuffer> => {
    const grown = new Int32Array(2 * list.length)
    grown.set(list)
    return grown
  }
  let count = 0
  for (let y = 0; y < height; y++) {
    const start = y * width,
      end = start + width
    for (let i = start; i < end; i++) {
      if (inside[i] === 0) continue
      const first = i
      while (i < end && inside[i] !== 0) i++
      if (count === from.length) [from, to, row] = [longer(from), longer(to), longer(row)]
      from[count] = first - start
      to[count] = i - start
      row[count++] = y
    }
  }
  return { count, from, to, row }
}

/**
 * The component of each run, as the lowest run it is joined with: union–find (A. Rosenfeld and J. Pfaltz, JACM 13,
 * 1966).
 */
function joinRuns({ count, from, to, row }: Runs): Int32Array {
  const parent = Int32Array.from({ length: count }, (_, run) => run)
  const rootOf = (run: number): number => {
    while (parent[run] !== run) run = parent[run] = parent[parent[run]]
    return run
  }
  // `above` is the first run of the row before that may still reach down to this one; corners touch too.
  for (let run = 0, above = 0; run < count; run++) {
    while (above < run && (row[above] < row[run] - 1 || (row[above] === row[run] - 1 && to[above] < from[run]))) above++
    for (let other = above; other < run && row[other] === row[run] - 1 && from[other] <= to[run]; other++) {
      const p = rootOf(run),
        q = rootOf(other)
      if (p !== q) parent[Math.max(p, q)] = Math.min(p, q)
    }
  }
  for (let run = 0; run < count; run++) parent[run] = rootOf(run)
  return parent
}

/** @param inside 1 where the mask holds. @param most how many components to list. */
export function listComponents(
  inside: Uint8Array,
  { width, height, most }: { readonly width: number; readonly height: number; readonly most: number }
): Component[] {
  return gather(runsOf(inside, width, height), { width, height, most }).list
}

/** The same with a label for each pixel. */
export function componentsOf(
  inside: Uint8Array,
  { width, height, most }: { readonly width: number; readonly height: number; readonly most: number }
): Components {
  const runs = runsOf(inside, width, height),
    { list, index } = gather(runs, { width, height, most })
  const labels = new Int32Array(width * height)
  for (let run = 0; run < runs.count; run++)
    labels.fill(index[run], runs.row[run] * width + runs.from[run], runs.row[run] * width + runs.to[run])
  return { labels, list }
}

/** Size, centre and bounds of each component, and the label of each run. */
function gather(
  runs: Runs,
  { width, height, most }: { readonly width: number; readonly height: number; readonly most: number }
): { list: Component[]; index: Int32Array } {
  const { count, from, to, row } = runs,
    root = joinRuns(runs),
    index = new Int32Array(count)
  let made = 0
  for (let run = 0; run < count; run++) index[run] = root[run] === run ? ++made : index[root[run]]
  const n = new Int32Array(made + 1),
    sx = new Float64Array(made + 1),
    sy = new Float64Array(made + 1)
  const x0 = new Int32Array(made + 1).fill(width),
    x1 = new Int32Array(made + 1),
    y0 = new Int32Array(made + 1).fill(height),
    y1 = new Int32Array(made + 1)
  for (let run = 0; run < count; run++) {
    const c = index[run],
      length = to[run] - from[run]
    n[c] += length
    sx[c] += length * (from[run] + to[run] - 1) * 0.5
    sy[c] += length * row[run]
    x0[c] = Math.min(x0[c], from[run])
    x1[c] = Math.max(x1[c], to[run])
    y0[c] = Math.min(y0[c], row[run])
    y1[c] = Math.max(y1[c], row[run] + 1)
  }
  const list = Array.from({ length: made }, (_, k) => k + 1)
    .sort((p, q) => n[q] - n[p])
    .slice(0, most)
    .map(c => ({
      size: n[c],
      x: (sx[c] / n[c] + 0.5) / width,
      y: (sy[c] / n[c] + 0.5) / height,
      bounds: { x: x0[c] / width, y: y0[c] / height, w: (x1[c] - x0[c]) / width, h: (y1[c] - y0[c]) / height },
      label: c
    }))
  return { list, index }
}
