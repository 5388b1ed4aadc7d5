<script setup lang="ts">
import { signInSchema } from '~~/shared/account'
import { AppError } from '~~/shared/errors'

/** The door. A house that nobody owns yet says which two ways lead on from here. */
definePageMeta({ whose: [] })
useHead({ title: 'Sign in · Critica' })

const session = useSessionStore()
const route = useRoute()
const form = reactive({ login: '', password: '', code: '' }),
  { wrong, check } = useCheckedForm(signInSchema, () => form)
const problem = ref(''),
  busy = ref(false),
  codeWanted = ref(false)

async function enter() {
  problem.value = ''
  const written = check()
  if (!written) return
  busy.value = true
  try {
    await session.signIn(written)
    const to =
      typeof route.query.to === 'string' && route.query.to.startsWith('/') && !route.query.to.startsWith('//')
        ? route.query.to
        : '/'
    await navigateTo(to)
  } catch (error) {
    if (error instanceof AppError && error.code === 'code-wanted') codeWanted.value = true
    problem.value = messageOf(error)
  } finally {
    busy.value = false
  }
}

function enterAs({ login, password }: { login: string; password: string }) {
  Object.assign(form, { login, password })
  void enter()
}
</script>

<template>
  <div class="door">
    <section>
      <h1 class="title">Critica</h1>
      <p class="words lead">See what the picture does, say it plainly, and know whether the next one does it.</p>
      <form class="field-stack" novalidate @submit.prevent="enter">
        <v-text-field
          v-model="form.login"
          label="E-mail or sign-in name"
          autocomplete="username"
          autocapitalize="none"
          :error-messages="wrong.login"
        />
        <SecretField v-model="form.password" label="Password" :wrong="wrong.password" />
        <v-text-field
          v-if="codeWanted"
          v-model="form.code"
          label="Code"
          autocomplete="one-time-code"
          inputmode="numeric"
          autofocus
        />
        <p v-if="problem" role="alert" class="problem">{{ problem }}</p>
        <v-btn type="submit" color="primary" variant="flat" :loading="busy">Sign in</v-btn>
      </form>
      <p class="quiet ways">
        <NuxtLink to="/forgotten">Forgot the password</NuxtLink>
        <NuxtLink to="/join">Join a class by its code</NuxtLink>
      </p>
    </section>
    <div v-if="session.demo.length || !session.owned" class="beside">
      <section v-if="session.demo.length" aria-labelledby="demo-title">
        <h2 id="demo-title">{{ session.owned ? 'The demo class' : 'Look round the demo class' }}</h2>
        <p class="quiet">A harbour town’s evening class: one instructor, six learners, all invented. Enter as</p>
        <ul>
          <li v-for="person in session.demo" :key="person.login">
            <button class="word-link" @click="enterAs(person)">{{ person.name }}</button>
            <span class="quiet">{{ person.roles.join(', ') }} · {{ person.login }}</span>
          </li>
        </ul>
        <p class="quiet">
          The password of each is <b>{{ session.demo[0]!.password }}</b>.
        </p>
      </section>
      <section v-if="!session.owned" aria-labelledby="begin-title">
        <h2 id="begin-title">Begin with your own</h2>
        <p class="quiet">
          The window that Critica was started in shows a link. Open it, and the house is yours: it is shown there alone,
          so that nobody else is first.
        </p>
      </section>
    </div>
  </div>
</template>

<style scoped>
.door {
  display: grid;
  grid-template-columns: minmax(280px, 380px) minmax(280px, 420px);
  gap: 96px;
  justify-content: center;
  padding-top: 15vh;
}
.title {
  font-size: 40px;
  margin-bottom: 8px;
}
.lead {
  margin-bottom: 28px;
}
.problem {
  color: var(--accent);
}
.beside {
  border-left: 1px solid var(--line);
  padding-left: 48px;
  align-self: start;
  display: grid;
  gap: 34px;
}
.ways {
  display: flex;
  gap: 20px;
  margin-top: 18px;
}
ul {
  list-style: none;
  padding: 0;
  margin: 12px 0;
  display: grid;
  gap: 7px;
}
li {
  display: flex;
  gap: 12px;
  align-items: baseline;
}
li .word-link {
  font-size: 14px;
  min-width: 92px;
  text-align: left;
}
@media (max-width: 900px) {
  .door {
    grid-template-columns: 1fr;
    gap: 40px;
    padding-top: 8vh;
  }
  .beside {
    border: 0;
    padding: 0;
  }
}
</style>
