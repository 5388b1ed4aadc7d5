<script setup lang="ts">
import { z } from 'zod'
import { loginOf, openSessionListSchema, type OpenSession } from '~~/shared/account'

definePageMeta({ whose: 'everybody' })
useHead({ title: 'Your account · Critica' })

const session = useSessionStore(),
  { leave } = useLeaving()
const { data: open, problem: unread, refresh } = useApiData(openSessionListSchema, '/account/sessions')
const failed = ref(''),
  all = ref(false)
/** More are seldom looked at. */
const FEW = 6

function usedWords({ begunAt, seenAt }: OpenSession): string {
  const begun = dayWords(begunAt),
    used = dayWords(seenAt)
  return begun === used ? `on ${begun}` : `since ${begun}, last used ${used}`
}
/** @param which one, or all but this one. */
async function end(which?: OpenSession) {
  try {
    await api(z.object({}), `/account/sessions${which ? `/${which.id}` : ''}`, { method: 'DELETE' })
    failed.value = ''
  } catch (error) {
    failed.value = messageOf(error)
  }
  await refresh()
}
</script>

<template>
  <div class="account">
    <section class="whole">
      <h1>{{ session.person.name }}</h1>
      <p class="quiet">{{ loginOf(session.person) }} · {{ session.person.roles.join(', ') || 'in no class' }}</p>
      <p>
        <NuxtLink to="/join">{{
          session.person.roles.length ? 'Join another class by its code' : 'Join a class by its code'
        }}</NuxtLink>
      </p>
      <!-- Wider screens have it at the top. -->
      <button class="word-link leave" @click="leave">Sign out</button>
    </section>
    <div>
      <section aria-labelledby="password">
        <h2 id="password">Password</h2>
        <PasswordForm @changed="refresh" />
      </section>
      <section aria-labelledby="address">
        <h2 id="address">Address</h2>
        <AddressForm />
      </section>
      <section v-if="session.person.roles.includes('instructor')" aria-labelledby="step">
        <h2 id="step">Second step</h2>
        <SecondStep />
      </section>
    </div>
    <div>
      <section aria-labelledby="open">
        <h2 id="open">Where you are signed in</h2>
        <p v-if="failed || unread" role="alert">{{ failed || unread }}</p>
        <ul v-if="open">
          <li v-for="s in all ? open : open.slice(0, FEW)" :key="s.id">
            <span>
              {{ s.browser || 'a browser that does not say which' }}
              <span class="quiet">{{ s.here ? '· here, now' : `· ${usedWords(s)}` }}</span>
            </span>
            <button v-if="!s.here" class="word-link" :aria-label="`end ${s.browser}`" @click="end(s)">end it</button>
          </li>
        </ul>
        <button v-if="open && open.length > FEW && !all" class="word-link" @click="all = true">
          and {{ open.length - FEW }} more
        </button>
        <button v-if="open && open.length > 1" class="word-link" @click="end()">sign out everywhere but here</button>

        <p class="quiet small">
          A sign-in ends by itself after two weeks unused, and after thirty days in any case. One that you do not know:
          end it, and change the password.
        </p>
      </section>
      <section aria-labelledby="record">
        <h2 id="record">What is yours</h2>
        <PersonRecord :person-id="session.person.id" :name="session.person.name" />
      </section>
    </div>
  </div>
</template>

<style scoped>
.account {
  max-width: 1000px;
  padding-top: 20px;
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 30px 64px;
}
.account > div {
  display: grid;
  gap: 30px;
  align-content: start;
}
.whole {
  grid-column: 1 / -1;
}
@media (max-width: 900px) {
  .account {
    grid-template-columns: minmax(0, 1fr);
  }
}
section {
  display: grid;
  gap: 10px;
  justify-items: start;
}
section > form,
ul {
  width: 100%;
}
ul {
  list-style: none;
  padding: 0;
}
li > .word-link {
  white-space: nowrap;
  align-self: start;
}
li {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  padding: 8px 0;
  border-bottom: 1px solid var(--line);
}
.small {
  font-size: 13px;
}
@media (min-width: 601px) {
  .leave {
    display: none;
  }
}
</style>
