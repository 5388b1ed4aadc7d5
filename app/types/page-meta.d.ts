/** What every page says of itself. */
declare module '#app' {
  interface PageMeta {
    /** Who may open it; none: it is only passed through. A page that leaves it out is closed. */
    roles?: readonly ('instructor' | 'learner')[]
  }
}

export {}
