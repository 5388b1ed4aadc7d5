<script setup lang="ts">
import { hazardOf } from '~~/core/paint/cautions'
import { pigmentWords } from '~/workshop/told'
import { MEDIUMS, type Medium } from '~~/core/paint/own'
import { PIGMENTS, type Pigment } from '~~/core/paint/pigments'
import { paintInputSchema, type KeptPaint, type PaintInput } from '~~/shared/workshop'

/** One paint: taken from the list of pigments, or its colours typed, or picked from a photographed swatch. */
const props = defineProps<{ paint: KeptPaint | null }>()
const emit = defineEmits<{ keep: [PaintInput]; leave: [] }>()
const workshop = useWorkshopStore()
const name = ref(props.paint?.name ?? ''),
  medium = ref<Medium>(props.paint?.medium ?? workshop.paints.at(-1)?.medium ?? 'gouache'),
  pigment = ref(props.paint?.pigment ?? ''),
  masstone = ref(props.paint?.masstone ?? '#777777'),
  tint = ref<string | null>(props.paint?.tint ?? null),
  picking = ref(false),
  problem = ref('')
const known = PIGMENTS.map(p => ({
  title: p.name,
  value: p,
  props: { subtitle: pigmentWords(p) }
}))
/** Whatever was typed is a name; what was chosen brings its colours, which are ours and may be corrected. */
function take(found: string | Pigment | null) {
  if (typeof found === 'string') name.value = found
  if (!found || typeof found === 'string') return
  name.value = found.name
  pigment.value = found.index
  masstone.value = found.masstone
  tint.value = found.tint
}
/** What its pigment asks for, before it is in the box. */
const caution = computed(() => hazardOf({ name: name.value, pigment: pigment.value })[0])
function picked([own, light]: readonly string[]) {
  picking.value = false
  if (own) masstone.value = own
  if (light) tint.value = light
}
function keep() {
  const read = paintInputSchema.safeParse({
    name: name.value,
    medium: medium.value,
    pigment: pigment.value,
    masstone: masstone.value,
    tint: tint.value
  })
  problem.value = read.success ? '' : read.error.issues[0]!.message
  if (read.success) emit('keep', read.data)
}
</script>

<template>
  <form class="form" novalidate @submit.prevent="keep">
    <v-combobox
      :model-value="name"
      :items="known"
      :return-object="false"
      label="Name"
      auto-select-first
      @update:model-value="take"
    />
    <v-select v-model="medium" :items="[...MEDIUMS]" label="Medium" />
    <v-text-field v-model="pigment" label="Pigment, as on the tube" />
    <div class="colours">
      <label><input v-model="masstone" type="color" /> as it comes</label>
      <label v-if="tint"><input v-model="tint" type="color" /> 1 in 10 of white</label>
      <button v-else type="button" class="word-link" @click="tint = '#dddddd'">add its tint</button>
      <button v-if="tint" type="button" class="word-link" @click="tint = null">no tint</button>
    </div>
    <p><button type="button" class="word-link" @click="picking = true">read a photographed swatch</button></p>
    <p v-if="pigment" class="quiet small">
      Colours from the list are ours, of no maker’s paint: your own swatch is better.
    </p>
    <p v-if="caution" class="quiet small">{{ caution }}</p>
    <p v-if="problem" role="alert">{{ problem }}</p>
    <div class="acts">
      <v-btn type="submit" color="primary" variant="flat" :loading="workshop.busy">Keep it</v-btn>
      <button type="button" class="word-link" @click="emit('leave')">leave it</button>
    </div>
    <PickDialog
      v-if="picking"
      title="A photographed swatch"
      :places="['its paint as it comes', 'its tint, one part in ten of white']"
      white
      @picked="picked"
      @leave="picking = false"
    />
  </form>
</template>

<style scoped>
.form {
  display: grid;
  gap: 10px;
  padding: 8px 0 14px;
}
.colours {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 14px;
  align-items: center;
}
label {
  display: flex;
  gap: 8px;
  align-items: center;
}
input[type='color'] {
  width: 46px;
  height: 24px;
  padding: 0;
  border: 1px solid var(--line);
}
.acts {
  display: flex;
  gap: 18px;
  align-items: center;
}
.small {
  font-size: 13px;
}
</style>
