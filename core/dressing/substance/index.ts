export { substanceOf } from './substanceOf.ts'
