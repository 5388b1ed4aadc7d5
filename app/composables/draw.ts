/** What a newly drawn area is for depends on the station: at Focus, where the eye should go; elsewhere, an area to be named. */
import { FOCUS_NAME } from '~~/shared/critique'
import type { AreaTool } from '~/stores/drawing'

type Bench = ReturnType<typeof useBenchStore>

export async function drawFor(bench: Bench, tool: AreaTool): Promise<void> {
  const area = await bench.drawArea(tool)
  if (!area) return
  if (bench.station !== 'focus') bench.sketch = area
  else if (bench.focusArea) await bench.changeArea(bench.focusArea.id, { name: FOCUS_NAME, area })
  else await bench.addArea(FOCUS_NAME, area)
}
