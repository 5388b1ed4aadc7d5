export * from './exercise'
export * from './shelf'
