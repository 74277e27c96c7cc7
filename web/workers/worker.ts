import { expose } from 'comlink'
import { workerApi } from './workerApi.ts'

expose(workerApi)
