/** Figures as they are printed, each against what is wanted of it. */
export function quantile(values: readonly number[], share: number): number {
  const sorted = [...values].sort((p, q) => p - q)
  return sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? 0
}

let missed = 0

/** Prints a figure; one over its bound counts as missed. */
export function figure(
  name: string,
  { value, most, unit = '' }: { readonly value: number; readonly most: number; readonly unit?: string }
): void {
  const kept = value <= most
  if (!kept) missed++
  console.log(
    `${kept ? 'ok    ' : 'MISSED'} ${name}: ${Math.round(value * 10) / 10}${unit} (wanted at most ${most}${unit})`
  )
}

/** Ends the command: with status 1 when a figure was missed. */
export function conclude(): never {
  console.log(missed === 0 ? 'every figure is kept' : `${missed} figures are missed`)
  process.exit(missed === 0 ? 0 : 1)
}
