<script setup lang="ts">
import { GREYS } from '~/theme/greys'
import type Konva from 'konva'
import { Group, Layer, Line, Rect, Text } from '~/wall/konva'
import { tagOf } from '~~/core/critique/stations/table'
import { linesOfMark, tagPointOf, type MarkLine } from '~~/core/critique/mark'
import { cornersOf, tagCornerOf, type Area } from '~~/core/picture/area'
import { shapedBy } from '~/wall/shape'
import { outlineOfStroke } from '~~/core/picture/stroke'
import type { WallFrame } from '~/wall/frame'
import type { Point } from '~~/shared/notes'

/** What is drawn over the picture: areas, the one being drawn or reshaped, places a reading points at, picked samples, corrections. */
const props = defineProps<{ frame: WallFrame; top: number; cross: Point | null }>()
const emit = defineEmits<{ open: [correction: number] }>()
const bench = useBenchStore(),
  sight = useSightStore(),
  pencil = usePencilStore(),
  inHand = useInHandStore()

const INK = GREYS.l5,
  CASING = GREYS.l96
const flat = (area: Area): number[] => cornersOf(area).flatMap(([x, y]) => props.frame.toWall(x, y))
/** A light casing under a dark core shows on any picture. */
const outline = (area: Area, dash: number[] = [], closed = true) => [
  { points: flat(area), closed, stroke: CASING, strokeWidth: 3.5, dash, listening: false },
  { points: flat(area), closed, stroke: INK, strokeWidth: 1.4, dash, listening: false }
]
/** A correction's own lines; a stroke is filled, its casing around it. */
const markLines = (lines: readonly MarkLine[]): Konva.LineConfig[] =>
  lines.flatMap<Konva.LineConfig>(({ points, closed, filled }) => {
    const at = points.flatMap(([x, y]) => props.frame.toWall(x, y))
    return filled
      ? [{ points: at, closed, fill: INK, stroke: CASING, strokeWidth: 1.5, listening: false }]
      : [
          { points: at, closed, stroke: CASING, strokeWidth: 4, listening: false, lineJoin: 'round' },
          { points: at, closed, stroke: INK, strokeWidth: 1.8, listening: false, lineJoin: 'round' }
        ]
  })
const size = computed(() => bench.piece)
const label = (text: string, x: number, y: number) => ({
  text,
  x,
  y,
  fontSize: 13,
  fontStyle: '600',
  fontFamily: 'Instrument Sans Variable',
  fill: CASING
})

const marks = computed(() =>
  (bench.unseen ? [] : (bench.critique.corrections ?? []))
    .filter(c => c.area)
    .map(c => {
      const [x, y] = props.frame.toWall(...tagPointOf(c.mark, c.area!)),
        tag = tagOf(c)
      return {
        id: c.id,
        tag,
        lines: markLines(linesOfMark(c.mark, c.area, size.value)),
        x: Math.max(2, x),
        y: Math.max(props.top, y - 20),
        width: 12 + 8 * tag.length
      }
    })
)
/** What is under the hand, or marked and not yet put in words. */
const inWords = computed((): Konva.LineConfig[] => {
  const mark = pencil.marking ?? inHand.correction?.mark ?? null,
    area = pencil.marking ? null : (inHand.correction?.area ?? null)
  if (mark?.kind === 'stroke' && sight.brush) {
    const points = outlineOfStroke(mark.points, sight.brush.width, size.value).points.flatMap(([x, y]) =>
      props.frame.toWall(x, y)
    )
    return [{ points, closed: true, fill: sight.brush.hex, listening: false }]
  }
  return mark || area ? markLines(linesOfMark(mark, area, size.value)) : []
})
const areas = computed(() =>
  bench.critique.areas
    .filter(
      a =>
        !bench.unseen
        && a.id !== sight.reshaping?.id
        && !bench.critique.corrections.some(c => JSON.stringify(c.area) === JSON.stringify(a.area))
    )
    .map(a => ({ id: a.id, lines: outline(a.area, [6, 5]) }))
)
/** The picture within its margin. */
const inside = computed(() => {
  const area = bench.report?.picture.inside
  return area && !bench.unseen ? outline(area, [1, 5]) : []
})
const stops = computed(() =>
  (bench.station === 'focus' ? bench.notes.stops : []).map((area, i) => {
    const [x, y] = props.frame.toWall(...tagCornerOf(area))
    return { key: i, lines: outline(area, [2, 4]), number: label(String(i + 1), x + 4, y + 4) }
  })
)

const round = (text: string, { x, y }: { x: number; y: number }) => {
  const [wx, wy] = props.frame.toWall(x, y)
  return { text, x: wx, y: wy }
}
const points = computed(() => (sight.comparing ? [] : (sight.points ?? [])).map(p => round(p.label, p)))
/** Each material is a letter: plain where it was picked in the light, filled where in the shadow. */
const samples = computed(() =>
  bench.station !== 'light'
    ? []
    : [
        ...bench.notes.pairs.flatMap((p, i) => {
          const letter = String.fromCharCode(97 + i)
          return [
            { ...round(letter, p.lit), dark: false },
            ...(p.shadow ? [{ ...round(letter, p.shadow), dark: true }] : [])
          ]
        }),
        ...(bench.notes.surroundings ? [{ ...round('*', bench.notes.surroundings), dark: false }] : [])
      ]
)

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
const filled = computed(
  () => sight.silhouette && { points: flat(sight.silhouette), closed: true, fill: INK, listening: false }
)

/** Corners to take hold of while an area is reshaped. */
const handles = computed(() =>
  sight.reshaping
    ? cornersOf(sight.reshaping.area).map((corner, index) => ({ index, at: props.frame.toWall(...corner) }))
    : []
)
function drag(index: number, event: Konva.KonvaEventObject<DragEvent>) {
  const at = props.frame.toPicture(event.target.x(), event.target.y())
  sight.reshaping = { ...sight.reshaping!, area: shapedBy(sight.reshaping!.area, index, at) }
}
</script>

<template>
  <Layer>
    <Line v-for="(l, i) in inside" :key="`n${i}`" :config="l" />
    <template v-for="a in areas" :key="`a${a.id}`"><Line v-for="(l, i) in a.lines" :key="i" :config="l" /></template>
    <template v-for="s in stops" :key="`t${s.key}`"
      ><Line v-for="(l, i) in s.lines" :key="i" :config="l" /><Text :config="s.number"
    /></template>
    <template v-if="pencil.sketch"
      ><Line v-for="(l, i) in outline(pencil.sketch, [6, 5], pencil.tool !== 'polygon')" :key="`s${i}`" :config="l"
    /></template>
    <Line v-for="(l, i) in inWords" :key="`d${i}`" :config="l" />
    <template v-for="m in marks" :key="m.id">
      <Line v-for="(l, i) in m.lines" :key="i" :config="l" />
      <Group :config="{ x: m.x, y: m.y }" @click="emit('open', m.id)" @tap="emit('open', m.id)">
        <Rect :config="{ width: m.width, height: 20, fill: INK, stroke: CASING, strokeWidth: 1 }" /><Text
          :config="label(m.tag, 6, 4)"
        />
      </Group>
    </template>
    <Group v-for="(p, i) in points" :key="`p${i}`" :config="{ x: p.x, y: p.y, listening: false }">
      <Rect
        :config="{
          x: -11,
          y: -11,
          width: 22,
          height: 22,
          fill: CASING,
          stroke: INK,
          strokeWidth: 1.5,
          cornerRadius: 11
        }"
      />
      <Text :config="{ ...label(p.text, -11, -7), width: 22, align: 'center', fontSize: 14, fill: INK }" />
    </Group>
    <Group v-for="(s, i) in samples" :key="`l${i}`" :config="{ x: s.x, y: s.y, listening: false }">
      <Rect
        :config="{
          x: -8,
          y: -8,
          width: 16,
          height: 16,
          fill: s.dark ? INK : CASING,
          stroke: s.dark ? CASING : INK,
          strokeWidth: 1.5
        }"
      />
      <Text :config="{ ...label(s.text, -8, -6), width: 16, align: 'center', fill: s.dark ? CASING : INK }" />
    </Group>
    <Line v-if="filled" :config="filled" />
    <Line v-for="(l, i) in crossLines" :key="`x${i}`" :config="l" />
    <template v-if="sight.reshaping">
      <Line v-for="(l, i) in outline(sight.reshaping.area)" :key="`r${i}`" :config="l" />
      <Rect
        v-for="h in handles"
        :key="`h${h.index}`"
        :config="{
          x: h.at[0],
          y: h.at[1],
          offsetX: 6,
          offsetY: 6,
          width: 12,
          height: 12,
          fill: CASING,
          stroke: INK,
          strokeWidth: 1.5,
          draggable: true,
          hitStrokeWidth: 16
        }"
        @dragmove="drag(h.index, $event)"
      />
    </template>
  </Layer>
</template>
