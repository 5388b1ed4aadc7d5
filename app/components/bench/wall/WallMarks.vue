<script setup lang="ts">
import type Konva from 'konva'
import { linesOfMark, tagPointOf } from '~~/core/critique/mark'
import { tagOf } from '~~/core/critique/stations/table'
import { cornersOf } from '~~/core/picture/area'
import { outlineOfStroke } from '~~/core/picture/stroke'
import type { Point } from '~~/shared/notes'
import type { WallFrame } from '~/wall/frame'
import { Group, Layer, Line, Rect, Text } from '~/wall/konva'
import { CASING, filledLine, INK, labelOf, markLinesOf, outlineOf } from '~/wall/lines'
import { shapedBy } from '~/wall/shape'
import { usePlaces } from '~/wall/usePlaces'

/**
 * What is drawn over the picture: areas, the one being drawn or reshaped, places a reading points at, picked samples,
 * corrections.
 */
const props = defineProps<{ frame: WallFrame; top: number; cross: Point | null }>()
const emit = defineEmits<{ open: [correction: number] }>()
const bench = useBenchStore(),
  sight = useSightStore(),
  pencil = usePencilStore(),
  inHand = useInHandStore()
const { points, stops, samples } = usePlaces(() => props.frame)

const corrections = computed(() => (bench.unseen ? [] : bench.critique.corrections))
const marks = computed(() =>
  corrections.value.flatMap(c => {
    if (!c.area) return []
    const [x, y] = props.frame.toWall(...tagPointOf(c.mark, c.area)),
      tag = tagOf(c)
    return [
      {
        id: c.id,
        tag,
        lines: markLinesOf(props.frame, linesOfMark(c.mark, c.area, bench.piece)),
        x: Math.max(2, x),
        y: Math.max(props.top, y - 20),
        width: 12 + 8 * tag.length
      }
    ]
  })
)
/** What is under the hand, or marked and not yet put in words. */
const inWords = computed((): Konva.LineConfig[] => {
  const mark = pencil.marking ?? inHand.correction?.mark ?? null,
    area = pencil.marking ? null : (inHand.correction?.area ?? null)
  if (mark?.kind === 'stroke' && sight.brush) {
    const { width, hex } = sight.brush
    return [filledLine(props.frame, outlineOfStroke(mark.points, width, bench.piece).points, hex)]
  }
  return mark || area ? markLinesOf(props.frame, linesOfMark(mark, area, bench.piece)) : []
})
const sketched = computed(() =>
  pencil.sketch ? outlineOf(props.frame, pencil.sketch, { dash: [6, 5], open: pencil.tool === 'polygon' }) : []
)
/** Areas that a correction marks are drawn by its own lines. */
const areas = computed(() => {
  const marked = new Set(bench.critique.corrections.map(c => JSON.stringify(c.area)))
  return bench.critique.areas
    .filter(a => !bench.unseen && a.id !== sight.reshaping?.id && !marked.has(JSON.stringify(a.area)))
    .map(a => ({ id: a.id, lines: outlineOf(props.frame, a.area, { dash: [6, 5] }) }))
})
/** The picture within its margin. */
const inside = computed(() => {
  const area = bench.report?.picture.inside
  return area && !bench.unseen ? outlineOf(props.frame, area, { dash: [1, 5] }) : []
})
/** The cross that keys move: the same dark core in a light casing. */
const crossLines = computed(() => {
  if (!props.cross) return []
  const [x, y] = props.frame.toWall(props.cross.x, props.cross.y)
  return [
    [x - 14, y, x + 14, y],
    [x, y - 14, x, y + 14]
  ].flatMap(points => [
    { points, stroke: CASING, strokeWidth: 4, listening: false },
    { points, stroke: INK, strokeWidth: 1.6, listening: false }
  ])
})
const filled = computed(() => sight.silhouette && filledLine(props.frame, cornersOf(sight.silhouette), INK))

/** Corners to take hold of while an area is reshaped. */
const reshaped = computed(() => (sight.reshaping ? outlineOf(props.frame, sight.reshaping.area) : []))
const handles = computed(() =>
  sight.reshaping
    ? cornersOf(sight.reshaping.area).map((corner, index) => ({ index, at: props.frame.toWall(...corner) }))
    : []
)
function drag(index: number, event: Konva.KonvaEventObject<DragEvent>) {
  const at = props.frame.toPicture(event.target.x(), event.target.y())
  sight.reshaping = { ...sight.reshaping!, area: shapedBy(sight.reshaping!.area, index, at) }
}
/** A square or round ground of a point or a sample, about its middle. */
const ground = (half: number, dark: boolean, cornerRadius = 0) => ({
  x: -half,
  y: -half,
  width: 2 * half,
  height: 2 * half,
  fill: dark ? INK : CASING,
  stroke: dark ? CASING : INK,
  strokeWidth: 1.5,
  cornerRadius
})
const handle = ([x, y]: readonly [number, number]) => ({
  ...ground(6, false),
  x,
  y,
  offsetX: 6,
  offsetY: 6,
  draggable: true,
  hitStrokeWidth: 16
})
</script>

<template>
  <Layer>
    <Line v-for="(l, i) in inside" :key="`n${i}`" :config="l" />
    <template v-for="a in areas" :key="`a${a.id}`"><Line v-for="(l, i) in a.lines" :key="i" :config="l" /></template>
    <template v-for="s in stops" :key="`t${s.key}`"
      ><Line v-for="(l, i) in s.lines" :key="i" :config="l" /><Text :config="s.number"
    /></template>
    <Line v-for="(l, i) in sketched" :key="`s${i}`" :config="l" />
    <Line v-for="(l, i) in inWords" :key="`d${i}`" :config="l" />
    <template v-for="m in marks" :key="m.id">
      <Line v-for="(l, i) in m.lines" :key="i" :config="l" />
      <Group :config="{ x: m.x, y: m.y }" @click="emit('open', m.id)" @tap="emit('open', m.id)">
        <Rect :config="{ width: m.width, height: 20, fill: INK, stroke: CASING, strokeWidth: 1 }" /><Text
          :config="labelOf(m.tag, 6, 4)"
        />
      </Group>
    </template>
    <Group v-for="(p, i) in points" :key="`p${i}`" :config="{ x: p.x, y: p.y, listening: false }">
      <Rect :config="ground(11, false, 11)" />
      <Text :config="{ ...labelOf(p.text, -11, -7), width: 22, align: 'center', fontSize: 14, fill: INK }" />
    </Group>
    <Group v-for="(s, i) in samples" :key="`l${i}`" :config="{ x: s.x, y: s.y, listening: false }">
      <Rect :config="ground(8, s.dark)" />
      <Text :config="{ ...labelOf(s.text, -8, -6), width: 16, align: 'center', fill: s.dark ? CASING : INK }" />
    </Group>
    <Line v-if="filled" :config="filled" />
    <Line v-for="(l, i) in crossLines" :key="`x${i}`" :config="l" />
    <Line v-for="(l, i) in reshaped" :key="`r${i}`" :config="l" />
    <Rect v-for="h in handles" :key="`h${h.index}`" :config="handle(h.at)" @dragmove="drag(h.index, $event)" />
  </Layer>
</template>
