<script setup lang="ts">
import { signInSchema } from '~~/shared/account'

definePageMeta({ layout: 'default', roles: [] })
useHead({ title: 'Sign in · Critica' })

const session = useSessionStore()
const route = useRoute()
const form = reactive({ email: '', password: '' }),
  { wrong, check } = useCheckedForm(signInSchema, () => form)
const problem = ref(''),
  busy = ref(false)

async function enter() {
  problem.value = ''
  const written = check()
  if (!written) return
  busy.value = true
  try {
    await session.signIn(written.email, written.password)
    const to =
      typeof route.query.to === 'string' && route.query.to.startsWith('/') && !route.query.to.startsWith('//')
        ? route.query.to
        : '/'
    await navigateTo(to)
  } catch (error) {
    problem.value = messageOf(error)
  } finally {
    busy.value = false
  }
}

function enterAs({ email, password }: { email: string; password: string }) {
  Object.assign(form, { email, password })
  void enter()
}
</script>

<template>
  <div class="door">
    <section>
      <h1 class="title">Critica</h1>
      <p class="words lead">See what the picture does, say it plainly, and know whether the next one does it.</p>
      <form novalidate @submit.prevent="enter">
        <v-text-field
          v-model="form.email"
          label="E-mail"
          type="email"
          autocomplete="username"
          :error-messages="wrong.email"
        />
        <v-text-field
          v-model="form.password"
          label="Password"
          type="password"
          autocomplete="current-password"
          :error-messages="wrong.password"
        />
        <p v-if="problem" role="alert" class="problem">{{ problem }}</p>
        <v-btn type="submit" color="primary" variant="flat" :loading="busy">Sign in</v-btn>
      </form>
    </section>
    <section v-if="session.demo.length" class="demo" aria-labelledby="demo-title">
      <h2 id="demo-title">The harbour class</h2>
      <p class="quiet">A demonstration: one instructor, six learners, all invented. Enter as</p>
      <ul>
        <li v-for="person in session.demo" :key="person.email">
          <button class="word-link" @click="enterAs(person)">{{ person.name }}</button>
          <span class="quiet">{{ person.role }} · {{ person.email }}</span>
        </li>
      </ul>
      <p class="quiet">
        The password of each is <b>{{ session.demo[0]!.password }}</b>.
      </p>
    </section>
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
form {
  display: grid;
  gap: 14px;
  justify-items: start;
}
form > .v-input {
  width: 100%;
}
.problem {
  color: var(--accent);
}
.demo {
  border-left: 1px solid var(--line);
  padding-left: 48px;
  align-self: start;
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
  .demo {
    border: 0;
    padding: 0;
  }
}
</style>
