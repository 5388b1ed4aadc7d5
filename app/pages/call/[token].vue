<script setup lang="ts">
import { stageSchema, STAGE_WORDS } from '~~/shared/pieces/submission'

/** An open call from outside: what is asked, and the form. Nothing of what others handed in is ever here. */
definePageMeta({ whose: 'anybody' })
const { call, none, file, focus, steps, laidFlat, noFile, sent, form, wrong, problem, busy, send, another } =
  useCallEntry(String(useRoute().params.token))
useHead({
  title: () => `${call.value?.title ?? 'Open call'} · Critica`,
  meta: [{ name: 'robots', content: 'noindex' }]
})
const stages = stageSchema.options.map(value => ({ value, title: STAGE_WORDS[value] }))
const CLOSED = {
  'not-yet': 'It is not open yet: come back then.',
  full: 'All places are taken.',
  closed: 'It is closed: no pieces are taken any more.'
} as const
</script>

<template>
  <section v-if="none" class="alone">
    <h1 role="alert">{{ none }}</h1>
  </section>
  <section v-else-if="call && sent" class="alone">
    <h1>It is in. One step is left.</h1>
    <p class="words">
      A mail is on its way to <b>{{ sent.to }}</b>. Until its link is opened and confirmed nobody sees the piece. Keep
      the mail: by the same link you read what is said of it, and can take it all away again.
    </p>
    <p v-if="sent.link" class="words">
      No mail goes out from here, so this is the link: <NuxtLink :to="sent.link">confirm it</NuxtLink>
    </p>
    <button v-if="call.perPerson > 1" type="button" class="word-link" @click="another">hand in another</button>
  </section>
  <div v-else-if="call" class="call">
    <div>
      <h1>{{ call.title }}</h1>
      <CallTerms :call="call" />
      <template v-if="call.standing === 'open'">
        <PictureHandedIn
          v-model="file"
          v-model:focus="focus"
          v-model:steps="steps"
          v-model:laid-flat="laidFlat"
          class="picture"
          :missing="noFile"
        />
      </template>
      <p v-else role="status" class="words">{{ CLOSED[call.standing] }}</p>
    </div>
    <form v-if="call.standing === 'open'" class="field-stack" novalidate @submit.prevent="send">
      <v-text-field v-model="form.title" label="Title" maxlength="120" :error-messages="wrong.title" />
      <div class="two">
        <v-select v-model="form.stage" :items="stages" label="Stage" />
        <v-text-field v-model="form.medium" label="Medium" maxlength="80" />
      </div>
      <v-textarea v-model="form.about" label="What is it about? Where should the eye go?" maxlength="500" />
      <v-textarea v-model="form.question" label="Your question" maxlength="500" />
      <div class="two">
        <v-text-field v-model="form.name" label="Your name" autocomplete="name" :error-messages="wrong.name" />
        <v-text-field
          v-model="form.email"
          label="Your e-mail address"
          type="email"
          autocomplete="email"
          :error-messages="wrong.email"
        />
      </div>
      <v-checkbox v-model="form.ofAge" label="I am of age" hide-details />
      <v-text-field
        v-if="!form.ofAge"
        v-model="form.guardianEmail"
        label="E-mail address of a parent or guardian, who is asked first"
        type="email"
        :error-messages="wrong.guardianEmail"
      />
      <v-checkbox
        v-if="call.returned !== 'critique'"
        v-model="form.named"
        label="My name may be said in front of the others"
        hide-details
      />
      <p v-if="problem" role="alert" class="problem">{{ problem }}</p>
      <v-btn type="submit" color="primary" variant="flat" :loading="busy">Hand it in</v-btn>
      <p class="quiet small">
        Whoever holds the call sees the picture; it is shown nowhere. Where and with what it was photographed is taken
        out first. You can take everything away at any time, by the link in the mail.
      </p>
    </form>
  </div>
</template>

<style scoped>
.call {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 420px;
  gap: 36px;
  padding-top: 24px;
  align-items: start;
}
.alone {
  display: grid;
  gap: 14px;
  justify-items: start;
  max-width: 560px;
  padding-top: 60px;
}
h1 {
  margin-bottom: 10px;
}
.picture {
  margin-top: 20px;
}
.two {
  width: 100%;
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(190px, 1fr));
  gap: 14px;
}
.small {
  font-size: 13px;
}
.problem {
  color: var(--accent);
}
@media (max-width: 900px) {
  .call {
    grid-template-columns: minmax(0, 1fr);
    gap: 20px;
  }
}
</style>
