import { lazy, Suspense, useEffect, useMemo, useRef, useState } from 'react'
import { Outlet, useLocation } from 'react-router'
import styled from 'styled-components'
import { Column } from '../column/Column.tsx'
import { ColumnContext, EMPTY_CONTENT } from '../column/marks.ts'
import type { ColumnContent } from '../column/marks.ts'
import { Fault } from '../ui/layout.tsx'
import { useFrameQuery } from '../wire/answers.ts'
import { api, toFailure } from '../wire/api.ts'
import { Roll } from './frame/Roll.tsx'
import { Tray } from './frame/Tray.tsx'
import { useFrameKeys } from './frame/useFrameKeys.ts'
import { focusHeadingWhenThere, rememberFocus } from '../ui/focusHeading.ts'
import { makePlaceActions, PlaceActionsContext } from '../ui/shortcuts.ts'
import { serveData } from '../wire/outbox/sender.ts'
import { useAppDispatch, useAppSelector } from '../wire/store.ts'
import { labels } from '../words/frame.ts'

const FindPanel = lazy(() => import('./frame/FindPanel.tsx'))
const KeysPanel = lazy(() => import('./frame/KeysPanel.tsx'))

const Layout = styled.div`
  display: grid;
  grid-template: 'roll sheet column' minmax(0, 1fr) 'tray tray tray' auto / 158px minmax(0, 1fr) 292px;
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
  &[data-water='open'] {
    grid-template-columns: 158px minmax(0, 1fr) 50vw;
  }
  &[data-water='ruler'] {
    grid-template-columns: 158px minmax(0, 1fr) 28px;
  }
  @media (max-width: 1100px) {
    &,
    &[data-water] {
      grid-template-columns: 158px minmax(0, 1fr) 28px;
    }
  }
  &[data-vise='true'] {
    grid-template: 'roll sheet' minmax(0, 1fr) 'tray tray' auto / 56px minmax(0, 1fr);
  }
  @media (max-width: 700px) {
    &[data-vise='true'] {
      grid-template: 'roll' auto 'sheet' minmax(0, 1fr) 'tray' auto / minmax(0, 1fr);
    }
    &,
    &[data-water] {
      grid-template: 'roll roll' auto 'sheet column' minmax(0, 1fr) 'tray tray' auto / minmax(0, 1fr) 28px;
    }
    main {
      padding: 12px 12px 20px;
    }
    nav {
      overflow-x: auto;
    }
  }
`

/** Sends what waits for the data that are served here. */
function useDelivery(dataId: string | undefined) {
  useEffect(() => {
    if (dataId) serveData(dataId)
  }, [dataId])
}

const LOOK_FOR_FIGURES_MS = 1500

/** Whether something is not what it was when these pages were opened: another build serves them, or other data. */
function useChanged(value: string | undefined): boolean {
  const first = useRef<string | undefined>(undefined)
  if (value && !first.current) first.current = value
  return Boolean(value && first.current && value !== first.current)
}

/** Asks again and again while figures are being worked out, so that lists show them as they come. */
function useFiguresToCome(lacking: boolean): void {
  const dispatch = useAppDispatch()
  useEffect(() => {
    if (!lacking) return
    const timer = setInterval(() => dispatch(api.util.invalidateTags(['all'])), LOOK_FOR_FIGURES_MS)
    return () => clearInterval(timer)
  }, [lacking, dispatch])
}

/** A place that is come to is read from its top, and its heading has the focus; not where the pages are opened. */
function useArrival(pathname: string): void {
  const came = useRef(pathname)
  useEffect(() => {
    if (came.current === pathname) return undefined
    came.current = pathname
    void document.getElementById('sheet')?.scrollTo(0, 0)
    return focusHeadingWhenThere()
  }, [pathname])
}

/** The frame that every place stands in: the roll, the sheet, the Column, the tray. */
export function AppFrame() {
  const { data: frame, error } = useFrameQuery()
  useFiguresToCome((frame?.roll.figuresToCome ?? 0) > 0)
  const [content, setContent] = useState<ColumnContent>(EMPTY_CONTENT)
  const atVise = useAppSelector(({ view }) => view.atVise)
  const finding = useAppSelector(({ view }) => view.finding)
  const showKeys = useAppSelector(({ view }) => view.showKeys)
  const waterOpen = useAppSelector(({ view }) => view.waterOpen)
  const actions = useMemo(makePlaceActions, [])
  const { pathname } = useLocation()
  const newBuild = useChanged(frame?.buildId)
  const otherData = useChanged(frame?.dataId)
  useDelivery(frame?.dataId)
  const theme = frame?.settings.theme ?? 'system'
  useEffect(() => {
    if (theme === 'system') delete document.documentElement.dataset.theme
    else document.documentElement.dataset.theme = theme
  }, [theme])
  useArrival(pathname)

  if (!frame) return <FirstPaint trouble={error ? toFailure(error).kind : null} />
  return (
    <PlaceActionsContext value={actions}>
      <ColumnContext value={setContent}>
        <FrameKeys />
        <a
          className="skip"
          href="#sheet"
          onClick={(event) => {
            event.preventDefault()
            document.getElementById('sheet')?.focus()
          }}
        >
          {labels.skipToTheSheet}
        </a>
        <Layout data-vise={atVise} data-water={waterOpen ? 'open' : content.narrow ? 'ruler' : 'strip'}>
          <Roll frame={frame} />
          <main id="sheet" tabIndex={-1} onFocus={rememberFocus}>
            {newBuild || otherData ? (
              <p>
                {otherData ? labels.otherDataAreServed : labels.heavyThistleWasUpdated}{' '}
                <a href={pathname}>{labels.reloadThesePages}</a>
              </p>
            ) : null}
            {finding ? (
              <Suspense fallback={null}>
                <FindPanel only={finding} />
              </Suspense>
            ) : null}
            {showKeys ? (
              <Suspense fallback={null}>
                <KeysPanel />
              </Suspense>
            ) : null}
            <Suspense fallback={<p aria-busy="true">{labels.opening}</p>}>
              <Outlet />
            </Suspense>
          </main>
          {atVise ? null : <Column frame={frame} content={content} />}
          <Tray frame={frame} />
        </Layout>
      </ColumnContext>
    </PlaceActionsContext>
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
