<script setup lang="ts">
import { isMeasured } from '~~/core/measure/report'
import { useAsked, useBenchPicture } from '~/composables/usePicture'

/** The edges station's instrument: how sharpness falls off from the focus, and other framings with their readings. */
const bench = useBenchStore()
const { ask } = useBenchPicture()
const edges = computed(() => (bench.report && isMeasured(bench.report.edges) ? bench.report.edges : null))

const PARTS = [
  ['focus', 'at the focus'],
  ['near', 'around it'],
  ['rest', 'elsewhere']
] as const
const rows = computed(() =>
  PARTS.map(([part, words]) => {
    const sharp = edges.value?.sharpness[part],
      busy = edges.value?.detail[part]
    return {
      words,
      sharp: sharp !== undefined && isMeasured(sharp) ? sharp : null,
      busy: busy !== undefined && isMeasured(busy) ? busy : null
    }
  })
)
const ofHundred = (share: number | null): string => (100 * (share ?? 0)).toFixed(0)
const most = computed(() => Math.max(0.01, ...rows.value.map(r => r.sharp ?? 0))),
  mostBusy = computed(() => Math.max(0.01, ...rows.value.map(r => r.busy ?? 0)))

const trying = ref(false)
const framings = useAsked(() => (trying.value ? w => w.framings() : null))
const canvases = ref<HTMLCanvasElement[]>([])
watch(
  [framings, canvases],
  async () => {
    if (!framings.value) return
    const bitmap = await ask(w => w.lens({ name: 'plain' }, 300))
    if (!bitmap) return
    framings.value.forEach(({ crop }, i) => {
      const canvas = canvases.value[i]
      if (!canvas) return
      canvas.width = Math.round(crop.w * bitmap.width)
      canvas.height = Math.round(crop.h * bitmap.height)
      canvas
        .getContext('2d')!
        .drawImage(
          bitmap,
          crop.x * bitmap.width,
          crop.y * bitmap.height,
          canvas.width,
          canvas.height,
          0,
          0,
          canvas.width,
          canvas.height
        )
    })
    bitmap.close()
  },
  { flush: 'post' }
)
</script>

<template>
  <section aria-label="Edges" class="edges">
    <div v-if="rows[0]!.sharp !== null" class="falloff">
      <h3>Sharpness and detail</h3>
      <div
        v-for="r in rows"
        :key="r.words"
        class="row"
        role="img"
        :aria-label="`${r.words}: sharpness ${ofHundred(r.sharp)}, detail ${ofHundred(r.busy)}`"
      >
        <span>{{ r.words }}</span>
        <span class="bars"
          ><i :style="{ width: `${(100 * (r.sharp ?? 0)) / most}%` }" /><i
            class="thin"
            :style="{ width: `${(100 * (r.busy ?? 0)) / mostBusy}%` }"
        /></span>
        <span class="figure">{{ ofHundred(r.sharp) }} · {{ ofHundred(r.busy) }}</span>
      </div>
    </div>
    <p v-else class="hint">Draw where the eye should go (at Focus) to see how sharpness falls off from it.</p>
    <div class="framing">
      <button class="word-link" :aria-expanded="trying" @click="trying = !trying">
        {{ trying ? 'put the framings away' : 'try other framings' }}
      </button>
      <p v-if="trying && !framings" role="status">Cropping and measuring …</p>
      <ul v-if="framings">
        <li v-for="(f, i) in framings" :key="f.name">
          <canvas
            :ref="
              el => {
                if (el) canvases[i] = el as HTMLCanvasElement
              }
            "
            aria-hidden="true"
          /><span
            ><b>{{ f.name }}</b> {{ framingWords(f) }}</span
          >
        </li>
      </ul>
    </div>
  </section>
</template>

<style scoped>
.edges {
  font-size: 13px;
  color: var(--panel-quiet);
  padding: 8px 0;
  border-bottom: 1px solid var(--l40);
}
h3 {
  font-family: var(--sans);
  font-size: 13px;
  font-weight: 600;
  color: var(--panel-ink);
}
.row {
  display: grid;
  grid-template-columns: 84px 1fr 56px;
  gap: 8px;
  align-items: center;
  height: 26px;
}
.bars {
  display: grid;
  gap: 2px;
}
.bars i {
  height: 7px;
  background: var(--l96);
}
.bars .thin {
  height: 4px;
  background: var(--l70);
}
.figure {
  text-align: right;
}
.framing {
  padding: 8px 0;
}
ul {
  list-style: none;
  padding: 6px 0 0;
  display: grid;
  gap: 8px;
}
li {
  display: grid;
  grid-template-columns: 84px 1fr;
  gap: 10px;
  align-items: center;
}
canvas {
  max-width: 84px;
  max-height: 64px;
}
b {
  color: var(--panel-ink);
  font-weight: 600;
}
</style>
