import { defineEventHandler } from 'h3'

/** Alive: it answers. What it needs for its work, `/readyz` says. */
export default defineEventHandler(() => ({ alive: true }))
