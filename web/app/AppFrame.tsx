import { lazy, Suspense, useEffect, useMemo, useRef, useState } from 'react'
import { Outlet, useLocation } from 'react-router'
import styled from 'styled-components'
import { Column } from '../column/Column.tsx'
import { ColumnContext, EMPTY_CONTENT } from '../column/marks.ts'
import type { ColumnContent } from '../column/marks.ts'
import { Fault } from '../ui/layout.tsx'
import { toFailure, useFrameQuery } from '../wire/api.ts'
import { FindPanel } from './frame/FindPanel.tsx'
import { Roll } from './frame/Roll.tsx'
import { Tray } from './frame/Tray.tsx'
import { useFrameKeys } from './frame/useFrameKeys.ts'
import { PlaceKeysContext } from '../ui/shortcuts.ts'
import type { PlaceKeys } from '../ui/shortcuts.ts'
import { useAppSelector } from '../wire/store.ts'
import { flushOutbox } from '../wire/useCommand.ts'
import { useSeasonKeeper } from '../moment/useSeasonKeeper.ts'
import { labels } from '../words/frame.ts'

const KeysPanel = lazy(() => import('./frame/KeysPanel.tsx'))

const Layout = styled.div`
  display: grid;
  grid-template: 'roll sheet column' minmax(0, 1fr) 'tray tray tray' auto / 158px minmax(0, 1fr) 252px;
  height: 100vh;
  height: 100dvh;
  main {
    grid-area: sheet;
    overflow-y: auto;
    padding: 14px 22px 24px;
    outline: none;
    position: relative;
    /* opaque, so that it scrolls without being painted anew */
    background: var(--ground);
  }
  @media (max-width: 1100px) {
    grid-template-columns: 158px minmax(0, 1fr) 28px;
  }
  @media (max-width: 700px) {
    grid-template: 'roll roll' auto 'sheet column' minmax(0, 1fr) 'tray tray' auto / minmax(0, 1fr) 28px;
    main {
      padding: 12px 12px 20px;
    }
    nav {
      overflow-x: auto;
    }
  }
`

const RETRY_MS = 5000

/** Sends what waits as soon as the server answers again. */
function useDelivery() {
  const waiting = useAppSelector((state) => state.view.waiting)
  useEffect(() => {
    void flushOutbox()
    window.addEventListener('online', flushOutbox)
    return () => window.removeEventListener('online', flushOutbox)
  }, [])
  useEffect(() => {
    if (waiting === 0) return
    const timer = setInterval(() => void flushOutbox(), RETRY_MS)
    return () => clearInterval(timer)
  }, [waiting])
}

/** Offers to reload where the server has become another build than these pages. */
function useNewBuild(buildId: string | undefined): boolean {
  const first = useRef<string | undefined>(undefined)
  if (buildId && !first.current) first.current = buildId
  return Boolean(buildId && first.current && buildId !== first.current)
}

/** The frame that every place stands in: the roll, the sheet, the Column, the tray. */
export function AppFrame() {
  const { data: frame, error } = useFrameQuery()
  const [content, setContent] = useState<ColumnContent>(EMPTY_CONTENT)
  const { finding, showKeys } = useAppSelector((state) => state.view)
  const placeKeys = useMemo<{ current: PlaceKeys }>(() => ({ current: {} }), [])
  const { pathname } = useLocation()
  const newBuild = useNewBuild(frame?.buildId)
  useDelivery()
  useSeasonKeeper()
  const theme = frame?.settings.theme ?? 'system'
  useEffect(() => {
    if (theme === 'system') delete document.documentElement.dataset.theme
    else document.documentElement.dataset.theme = theme
  }, [theme])
  useEffect(() => {
    void document.getElementById('sheet')?.scrollTo(0, 0)
  }, [pathname])

  if (!frame) return <FirstPaint trouble={error ? toFailure(error).kind : null} />
  return (
    <PlaceKeysContext value={placeKeys}>
      <ColumnContext value={setContent}>
        <FrameKeys />
        <Layout>
          <Roll frame={frame} />
          <main id="sheet" tabIndex={-1}>
            {newBuild ? (
              <p>
                Heavy Thistle was updated. <a href={pathname}>{labels.reloadThesePages}</a>
              </p>
            ) : null}
            {finding ? <FindPanel only={finding} /> : null}
            {showKeys ? (
              <Suspense fallback={null}>
                <KeysPanel />
              </Suspense>
            ) : null}
            <Suspense fallback={<p aria-busy="true">{labels.opening}</p>}>
              <Outlet />
            </Suspense>
          </main>
          <Column frame={frame} content={content} />
          <Tray frame={frame} />
        </Layout>
      </ColumnContext>
    </PlaceKeysContext>
  )
}

function FrameKeys() {
  const { data } = useFrameQuery()
  useFrameKeys(data)
  return null
}

function FirstPaint({ trouble }: { readonly trouble: 'problem' | 'unreachable' | null }) {
  return (
    <main style={{ padding: 24 }}>
      <h1>{labels.heavyThistle}</h1>
      {trouble ? <Fault>{labels.theServerDoesNot}</Fault> : <p aria-busy="true">{labels.unrolling}</p>}
    </main>
  )
}
