<script setup lang="ts">
import type { Account } from '~~/shared/account'

const session = useSessionStore()
const { leave } = useLeaving(),
  route = useRoute()
const LINKS: readonly (readonly [to: string, label: string, whose: (account: Account) => boolean])[] = [
  ['/desk', 'Desk', teaches],
  ['/work', 'My work', learns],
  ['/exercises', 'Exercises', account => teaches(account) || learns(account)],
  ['/workshop', 'Workshop', account => teaches(account) || learns(account)],
  ['/hand-in', 'Hand in', learns],
  ['/classes', 'Classes', ({ roles }) => roles.includes('instructor')],
  ['/calls', 'Open calls', ({ roles }) => roles.includes('instructor')],
  ['/inbox', 'Mail', ({ roles }) => roles.includes('instructor')],
  ['/house', 'House', ({ roles }) => roles.includes('owner')]
]
const links = computed(() => (session.account ? LINKS.filter(([, , whose]) => whose(session.account!)) : []))
</script>

<template>
  <div class="paper">
    <header v-if="session.account" class="bar">
      <span class="name">Critica</span>
      <nav aria-label="Main">
        <NuxtLink
          v-for="[to, label] in links"
          :key="to"
          :to="to"
          :class="{ within: route.path.startsWith(`${to}/`) || (to === '/inbox' && route.path === '/outbox') }"
          >{{ label }}</NuxtLink
        >
      </nav>
      <NuxtLink to="/account" class="who" title="Your account">{{ session.account.name }}</NuxtLink>
      <NuxtLink to="/account" class="mine">You</NuxtLink>
      <button class="word-link leave" @click="leave">Sign out</button>
    </header>
    <main><slot /></main>
  </div>
</template>

<style scoped>
.paper {
  width: 100%;
  max-width: 1280px;
  margin: 0 auto;
  padding: 0 40px 48px;
}
.bar {
  display: flex;
  align-items: center;
  gap: 28px;
  height: 63px;
  border-bottom: 1px solid var(--line);
}
.name {
  font-weight: 600;
  font-size: 18px;
}
nav {
  display: flex;
  gap: 28px;
  flex: 1;
}
nav a {
  text-decoration: none;
  padding: 4px 0;
  border-bottom: 2px solid transparent;
}
nav a.router-link-active,
nav a.within {
  border-color: var(--accent);
}
.who {
  color: var(--quiet);
}
.mine {
  display: none;
}
@media (max-width: 900px) {
  .paper {
    padding: 0 20px 40px;
  }
  .bar,
  nav {
    gap: 18px;
  }
}
/* On a phone one line: whose it is is known, and signing out stands on that page. */
@media (max-width: 600px) {
  .paper {
    padding: 0 16px 32px;
  }
  .bar {
    height: 52px;
    gap: 14px;
    font-size: 14px;
    white-space: nowrap;
  }
  nav {
    gap: 14px;
  }
  .name,
  .who,
  .leave {
    display: none;
  }
  .mine {
    display: block;
  }
}
</style>
