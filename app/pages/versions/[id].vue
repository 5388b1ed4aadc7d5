<script setup lang="ts">
import { WHEEL_NAMES } from '~~/core/wheel/steps'
import { WHOLE } from '~~/core/compare/carried'
import type { Point } from '~~/core/numeric/homography'
import { submissionSchema } from '~~/shared/pieces/submission'
import type { VersionsLens } from '~/workers/versions-protocol'
import { COMPARED_KEY } from '~/composables/useCompared'
import { LAID_KEY } from '~/composables/useLaidPictures'

/** Two versions of a piece on one wall, and whether what was marked on the older one landed. */
definePageMeta({ whose: 'everybody', layout: 'bench', key: route => route.fullPath })

const route = useRoute(),
  id = Number(route.params.id),
  session = useSessionStore()
const { data: piece, problem: noPiece } = useApiData(submissionSchema, `/submissions/${id}`)
useHead({ title: () => `${piece.value?.title ?? 'Versions'} · Critica` })
const own = computed(() => piece.value?.learner.id === session.person.id),
  may = computed(() => Boolean(piece.value?.may.includes('draft')) && piece.value?.state !== 'released')

const used = useCompared(id, Number(route.query.over) || null),
  laid = useLaidPictures()
provide(COMPARED_KEY, used)
provide(LAID_KEY, laid)
const { compared, older, evened, share, problem, setCorners, busy } = used
const fetched = ref(false)
watch(
  older,
  async old => {
    if (!old) return
    await Promise.all([laid.fetchVersion(old.id, 'old'), laid.fetchVersion(id, 'new')])
    fetched.value = true
  },
  { immediate: true }
)
const found = computed(() => compared.value?.comparison.registration.corners ?? null)
const light = computed(() => (evened.value && compared.value?.comparison.light) || null)
watch([fetched, found, light], ([there, corners, taken]) => there && corners && void laid.lay(corners, taken), {
  immediate: true
})

const lens = shallowRef<VersionsLens>({ name: 'plain' })
const wheel = computed(() => {
  const { measurement } = piece.value ?? {}
  return measurement?.state === 'done' ? measurement.report.wheel : WHEEL_NAMES[0]
})
/** Corners under the hand; null while nobody sets them. */
const hand = shallowRef<readonly Point[] | null>(null)
const toggle = () => (hand.value = hand.value ? null : (found.value ?? WHOLE))
async function keep(corners: readonly Point[] | null) {
  if (await setCorners(corners)) hand.value = null
}
const names = computed(() => ({
  old: `version ${older.value?.number ?? 1}`,
  new: `version ${piece.value?.version ?? 2}`
}))
const alone = computed(() => used.versions.value !== null && !older.value)
</script>

<template>
  <p v-if="noPiece || alone" role="alert" class="alone">
    {{ noPiece || 'There is one version of this piece only.' }} <NuxtLink to="/">Back</NuxtLink>
  </p>
  <div v-else-if="piece" class="versions">
    <VersionsBar
      class="top"
      :piece="piece"
      :own="own"
      :setting="hand !== null"
      @set="toggle"
      @over="navigateTo(`/versions/${id}?over=${$event}`)"
    />
    <OlderCorners v-if="hand" v-model="hand" class="middle" />
    <div v-else-if="compared && !found" class="middle lost">
      <p>
        The new picture is not found on the old one. If it is the same piece, set the four points where the old
        picture’s corners lie in it.
      </p>
      <button class="word-link" @click="toggle">set four points</button>
    </div>
    <VersionsWall v-else class="middle" :lens="lens" :old="names.old" :new="names.new">
      <VersionLenses v-model="lens" :wheel="wheel" />
    </VersionsWall>
    <aside class="right">
      <p v-if="hand" class="setting">
        Drag each point to where that corner of the older version lies; the outline moves all four. Arrow keys move the
        one that has the focus.
        <button class="word-link" :disabled="busy" @click="keep(hand)">lay it so</button>
        <button class="word-link" :disabled="busy" @click="keep(null)">find it by itself</button>
        <button class="word-link" @click="hand = null">leave it</button>
      </p>
      <p v-if="!compared" role="status">
        {{ problem || `Laying the new version on the old one … ${Math.round(100 * share)} %` }}
      </p>
      <LandedPanel v-else :may="may" :own="own" />
    </aside>
  </div>
</template>

<style scoped>
.versions {
  height: 100vh;
  display: grid;
  grid-template: 44px minmax(0, 1fr) / minmax(0, 1fr) 420px;
  grid-template-areas: 'top top' 'middle right';
  color: var(--panel-ink);
}
.top {
  grid-area: top;
}
.middle {
  grid-area: middle;
}
.lost {
  display: grid;
  place-content: center;
  justify-items: start;
  gap: 10px;
  background: var(--wall);
  color: var(--l0);
  padding: 40px;
}
.lost p {
  max-width: 420px;
}
.right {
  grid-area: right;
  overflow-y: auto;
  padding: 18px 20px 28px;
  border-left: 1px solid var(--panel-line);
}
.setting {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  padding-bottom: 14px;
}
.alone {
  padding: 40px;
}
@media (max-width: 900px) {
  .versions {
    grid-template: 44px minmax(0, 1fr) 42vh / 1fr;
    grid-template-areas: 'top' 'middle' 'right';
  }
  .right {
    border-left: 0;
    border-top: 1px solid var(--panel-line);
  }
}
</style>
