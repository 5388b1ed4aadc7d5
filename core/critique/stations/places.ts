/** Where on the picture something is, as a person would say it. */
/** Where on the picture, in a teacher's words. */
export function placeWords({ x, y }: { x: number; y: number }): string {
  const row = y < 1 / 3 ? 'upper' : y > 2 / 3 ? 'lower' : '',
    column = x < 1 / 3 ? 'left' : x > 2 / 3 ? 'right' : ''
  if (!row && !column) return 'the middle'
  if (!row) return `the ${column} side`
  return column ? `the ${row} ${column}` : `the ${row} middle`
}
