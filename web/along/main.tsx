import { StrictMode } from 'react'
import { createRoot } from 'react-dom/client'
import type { Carried } from '../../contract/index.ts'
import { GlobalStyle } from '../ui/GlobalStyle.tsx'
import { AlongPage } from './AlongPage.tsx'

const [root, carried] = ['root', 'carried'].map((id) => document.getElementById(id))
if (!root || !carried) throw new Error('the page carries nothing')
createRoot(root).render(
  <StrictMode>
    <GlobalStyle />
    <AlongPage carried={JSON.parse(carried.textContent) as Carried} />
  </StrictMode>,
)
