export * from './exercise'
export * from './shelf'
export * from './settings'
