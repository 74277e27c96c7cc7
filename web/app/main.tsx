import './nonce.ts'
import { StrictMode } from 'react'
import { createRoot } from 'react-dom/client'
import { Provider } from 'react-redux'
import { RouterProvider } from 'react-router/dom'
import { GlobalStyle } from '../ui/GlobalStyle.tsx'
import { router } from './router.tsx'
import { setTrouble } from '../wire/state.ts'
import { store } from '../wire/store.ts'
import { labels } from '../words/frame.ts'
import { whenWorkFails } from '../workers/gateway.ts'

const root = document.getElementById('root')
if (!root) throw new Error('the page has no root')
whenWorkFails((_name, error) => {
  reportError(error)
  store.dispatch(setTrouble(labels.workFailed))
})
createRoot(root).render(
  <StrictMode>
    <Provider store={store}>
      <GlobalStyle />
      <RouterProvider router={router} />
    </Provider>
  </StrictMode>,
)
