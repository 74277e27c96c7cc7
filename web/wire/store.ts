import { configureStore } from '@reduxjs/toolkit'
import { useDispatch, useSelector } from 'react-redux'
import { api } from './api.ts'
import { view } from './state.ts'

export const store = configureStore({
  reducer: { [api.reducerPath]: api.reducer, view: view.reducer },
  middleware: (defaults) => defaults().concat(api.middleware),
})

export type AppState = ReturnType<typeof store.getState>
export const useAppDispatch = useDispatch.withTypes<typeof store.dispatch>()
export const useAppSelector = useSelector.withTypes<AppState>()
