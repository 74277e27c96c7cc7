import { configureStore } from '@reduxjs/toolkit'
import { useDispatch, useSelector } from 'react-redux'
import { api } from './api.ts'
import { keepMoment } from './keptMoment.ts'
import { view } from './state.ts'

export const store = configureStore({
  reducer: { [api.reducerPath]: api.reducer, view: view.reducer },
  middleware: (defaults) => defaults().concat(api.middleware),
})

let kept = store.getState().view.moment
store.subscribe(() => {
  const { moment } = store.getState().view
  if (moment === kept) return
  kept = moment
  keepMoment(moment)
})

export type AppState = ReturnType<typeof store.getState>
export const useAppDispatch = useDispatch.withTypes<typeof store.dispatch>()
export const useAppSelector = useSelector.withTypes<AppState>()
