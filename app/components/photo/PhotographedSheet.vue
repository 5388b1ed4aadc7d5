<script setup lang="ts">
import type { PhotoSteps } from '~~/core/photo/steps'
import type { Point } from '~~/core/numeric/homography'
import { latest } from '~/utils/latest'

/** A photograph of a sheet: found, laid flat, freed of the lamp's colour; each of it shown, changed, or left. */
const props = defineProps<{ file: File; /** What is done to it already. */ begun?: PhotoSteps | null }>()
const steps = defineModel<PhotoSteps | null>('steps', { required: true })
/** What is handed in, as it will be seen. */
const picture = defineModel<Blob | null>('picture', { required: true })
/** Something of it is in hand: nothing else is shown meanwhile. */
const setting = defineModel<boolean>('setting', { default: false })
const photo = usePhotographed({
  file: computed(() => props.file),
  steps,
  picture,
  begun: props.begun
})
const { found, size, strip, told, problem, busy, said } = photo

/** What is in hand: its corners, or a place that is white in truth. */
const hand = ref<'corners' | 'known' | null>(null),
  set = shallowRef<readonly Point[]>([]),
  as = ref<string | null>('white'),
  typed = ref('')
watch(
  () => props.file,
  () => (hand.value = null)
)
watch(hand, what => (setting.value = what !== null))
function begin(what: 'corners' | 'known') {
  set.value = photo.corners.value
  hand.value = what
}
const KNOWN = [
  { key: 'white', label: 'white' },
  { key: 'grey', label: 'a grey card' }
]
const small = ref<HTMLCanvasElement>()
const show = latest(async (corners: readonly Point[]) => {
  const bitmap = await photo.preview(corners)
  if (!bitmap || !small.value) return
  paintOn(small.value, bitmap)
})
watch([set, hand, small], () => hand.value === 'corners' && small.value && void show(set.value))
async function lay() {
  if (await photo.lay(set.value)) hand.value = null
}
async function pick(at: Point) {
  if (await photo.know({ ...at, as: as.value === 'grey' ? 'grey' : 'white' })) hand.value = null
}
/** "30 × 40", as wide as it is high: what a sheet measures, in any unit. */
function measure() {
  const numbers = typed.value.match(/\d+([.,]\d+)?/g)?.map(n => Number(n.replace(',', '.'))) ?? []
  if (typed.value.trim() === '') void photo.proportion(null)
  else if (numbers.length === 2 && numbers[0]! > 0 && numbers[1]! > 0) void photo.proportion(numbers[0]! / numbers[1]!)
}
const line = computed(() => {
  if (busy.value) return 'Laying it flat …'
  if (said.value) return `${said.value[0]!.toUpperCase()}${said.value.slice(1)}.`
  return found.value?.sure ? 'A sheet seems to lie in this photograph.' : ''
})
</script>

<template>
  <section v-if="found" class="photographed" aria-label="The photograph">
    <div v-if="hand === 'corners'" class="setting">
      <FourPoints
        v-model="set"
        class="shown"
        :picture="size"
        :drawn="photo.plain"
        label="The photograph"
        of="The sheet’s"
      />
      <canvas ref="small" class="flat" role="img" aria-label="The sheet laid flat" />
    </div>
    <KnownPlace v-else-if="hand === 'known'" class="shown" :photo="photo" @pick="pick" />
    <p v-if="line && !hand" role="status">{{ line }}</p>
    <p v-for="doubt in hand ? [] : (told?.doubts ?? [])" :key="doubt.kind" class="quiet small">{{ doubt.sentence }}</p>
    <p v-if="problem" role="alert" class="problem">{{ problem }}</p>
    <p v-if="hand === 'known'" class="small pointed">
      Point at what is
      <WordChoice v-model="as" :choices="KNOWN" label="What is known" />
      in truth: bare paper, or a card beside it. Or lay our
      <a class="word-link" :href="apiAt('/printer/strip')" target="_blank">printed strip</a> beside the picture: it says
      all of this by itself.
    </p>
    <div class="acts">
      <template v-if="hand === 'corners'">
        <button type="button" class="word-link" @click="lay">lay it flat so</button>
        <label class="small">
          it measures
          <input
            v-model="typed"
            class="typed"
            placeholder="30 × 40"
            aria-label="Width and height of the sheet"
            @change="measure"
          />
        </label>
      </template>
      <template v-else-if="!hand">
        <button v-if="!steps?.corners && found.sure" type="button" class="word-link" @click="photo.lay(found.corners)">
          lay it flat
        </button>
        <button type="button" class="word-link" @click="begin('corners')">
          {{ steps?.corners ? 'set its corners' : 'it is a photograph: set the sheet’s corners' }}
        </button>
        <button type="button" class="word-link" @click="begin('known')">
          {{ steps?.known ? 'point at another white' : 'point at white' }}
        </button>
        <button v-if="strip" type="button" class="word-link" @click="photo.useStrip(!steps?.strip)">
          {{ steps?.strip ? 'leave the strip' : 'use the printed strip' }}
        </button>
        <button v-if="told?.falloff" type="button" class="word-link" @click="photo.even(!steps?.even)">
          {{ steps?.even ? 'leave the uneven light' : 'even the light' }}
        </button>
        <button v-if="steps" type="button" class="word-link" @click="photo.leave()">
          take the photograph as it is
        </button>
      </template>
      <button v-if="hand" type="button" class="word-link" @click="hand = null">leave it</button>
    </div>
  </section>
</template>

<style scoped>
.photographed {
  display: grid;
  gap: 6px;
  margin-top: 12px;
}
.setting {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 220px;
  gap: 12px;
  align-items: start;
}
.shown {
  height: 460px;
}
.flat {
  max-width: 100%;
  max-height: 460px;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 16px;
  align-items: baseline;
}
.small {
  font-size: 13px;
}
.pointed {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 8px;
  align-items: baseline;
}
.typed {
  width: 76px;
  padding: 0 2px;
  border: 0;
  border-bottom: 1px solid var(--ink);
  background: none;
}
.problem {
  color: var(--accent);
}
@media (max-width: 700px) {
  .setting {
    grid-template-columns: 1fr;
  }
  .shown {
    height: 46vh;
  }
  .flat {
    max-height: 130px;
  }
}
</style>
