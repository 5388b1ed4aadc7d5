export * from './exercise'
export * from './checking'
export * from './shelf'
export * from './settings'
