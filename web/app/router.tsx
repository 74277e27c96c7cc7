import { lazy } from 'react'
import { createBrowserRouter, isRouteErrorResponse, Link, useRouteError } from 'react-router'
import { Tonight } from '../places/tonight/Tonight.tsx'
import { AppFrame } from './AppFrame.tsx'
import { labels } from '../words/frame.ts'

const Ahead = lazy(() => import('../places/tonight/Ahead.tsx'))
const Waters = lazy(() => import('../places/waters/Waters.tsx'))
const Larder = lazy(() => import('../places/larder/Larder.tsx'))
const Patterns = lazy(() => import('../places/patterns/Patterns.tsx'))
const Moved = lazy(() => import('../places/patterns/Moved.tsx'))
const PatternSheet = lazy(() => import('../places/patterns/PatternSheet.tsx'))
const Tank = lazy(() => import('../places/tank/Tank.tsx'))
const Bench = lazy(() => import('../places/bench/Bench.tsx'))
const Boxes = lazy(() => import('../places/boxes/Boxes.tsx'))
const Outings = lazy(() => import('../places/outings/Outings.tsx'))
const Drills = lazy(() => import('../places/outings/drills/Drills.tsx'))
const OutingSheet = lazy(() => import('../places/outings/sheet/OutingSheet.tsx'))
const Stores = lazy(() => import('../places/stores/Stores.tsx'))
const Settings = lazy(() => import('../places/settings/Settings.tsx'))

function Stumble() {
  const error = useRouteError()
  const missing = isRouteErrorResponse(error) && error.status === 404
  return (
    <main style={{ padding: 24 }}>
      <h1>{missing ? 'There is no such place' : 'This page stumbled'}</h1>
      <p>{missing ? 'The address leads nowhere.' : 'Nothing is lost: what you saved is saved.'}</p>
      <Link to="/">{labels.backToTonight}</Link>
    </main>
  )
}

/** The places; all but the first load when they are opened. */
export const router = createBrowserRouter([
  {
    path: '/',
    element: <AppFrame />,
    errorElement: <Stumble />,
    children: [
      { index: true, element: <Tonight /> },
      { path: 'ahead', element: <Ahead /> },
      { path: 'waters', element: <Waters /> },
      { path: 'larder', element: <Larder /> },
      { path: 'patterns', element: <Patterns /> },
      { path: 'patterns/moved', element: <Moved /> },
      { path: 'patterns/:patternId', element: <PatternSheet /> },
      { path: 'tank', element: <Tank /> },
      { path: 'bench', element: <Bench /> },
      { path: 'boxes', element: <Boxes /> },
      { path: 'outings', element: <Outings /> },
      { path: 'outings/drills', element: <Drills /> },
      { path: 'outings/:outingId', element: <OutingSheet /> },
      { path: 'stores', element: <Stores /> },
      { path: 'settings', element: <Settings /> },
    ],
  },
])
