import { useContext, useEffect, useRef, useState } from 'react'
import type { KeyboardEvent } from 'react'
import { useNavigate } from 'react-router'
import styled from 'styled-components'
import { api } from '../../wire/api.ts'
import { PLACES } from '../places.ts'
import { keyShown, PlaceActionsContext } from '../../ui/shortcuts.ts'
import { find, toggleKeys } from '../../wire/state.ts'
import { useAppDispatch } from '../../wire/store.ts'
import { labels } from '../../words/frame.ts'

const Panel = styled.div`
  position: sticky;
  top: 0;
  z-index: 3;
  margin: -4px 0 12px;
  padding: 8px;
  background: var(--panel);
  border: 1px solid var(--thistle);
  border-radius: 6px;
  input {
    width: 100%;
    min-height: 36px;
    padding: 4px 8px;
    font: inherit;
    color: var(--ink);
    background: transparent;
    border: 0;
    border-bottom: 1px solid var(--quiet);
  }
  li {
    display: flex;
    justify-content: space-between;
    gap: 12px;
    padding: 6px 8px;
    border-radius: 4px;
    cursor: pointer;
  }
  li[aria-selected='true'] {
    background: var(--thistle);
    color: var(--panel);
  }
  .sort {
    font-size: 0.8125rem;
    opacity: 0.8;
  }
`

interface Hit {
  readonly key: string
  readonly title: string
  readonly sort: string
  readonly go: () => void
}

const PATHS: Readonly<Record<string, { sort: string; path: (id: string, patternId?: string) => string }>> = {
  variant: { sort: 'fly', path: (id, patternId) => `/patterns/${patternId}?variant=${id}` },
  pattern: { sort: 'pattern', path: (id) => `/patterns/${id}` },
  water: { sort: 'water', path: (id) => `/waters?water=${id}` },
  rig: { sort: 'rig', path: (id) => `/outings?rig=${id}` },
  box: { sort: 'box', path: (id) => `/boxes?box=${id}` },
  material: { sort: 'material', path: (id) => `/stores?material=${id}` },
  foodStage: { sort: 'food', path: (id) => `/larder?stage=${id}` },
}

/** What can be done from anywhere, and what the place that is open offers; each closes the panel first. */
function useActions() {
  const navigate = useNavigate()
  const dispatch = useAppDispatch()
  const close = () => dispatch(find(null))
  const go = (path: string) => () => {
    close()
    void navigate(path)
  }
  const ofPlace = useContext(PlaceActionsContext).now()
  const actions: readonly Hit[] = [
    ...ofPlace.map(({ key = '', what, go: act }) => ({
      key: `here ${what}`,
      title: what.charAt(0).toUpperCase() + what.slice(1),
      sort: key ? `key ${keyShown(key)}` : labels.whatIsOpen,
      go: () => {
        close()
        act()
      },
    })),
    ...PLACES.map(({ name, path, digit }) => ({
      key: path,
      title: `Open ${name}`,
      sort: `key ${digit}`,
      go: go(path),
    })),
    { key: 'new-pattern', title: 'New pattern', sort: 'action', go: go('/patterns/new') },
    { key: 'new-outing', title: 'Plan an outing', sort: 'action', go: go('/outings?new=1') },
    { key: 'settings', title: 'Open Settings', sort: 'action', go: go('/settings') },
    {
      key: 'keys',
      title: 'Show the keys',
      sort: 'key ?',
      go: () => {
        close()
        dispatch(toggleKeys())
      },
    },
  ]
  return { close, go, actions }
}

/** Finds anything by the beginnings of its words, or runs an action. */
export default function FindPanel({ only }: { readonly only: 'anything' | 'actions' }) {
  const [words, setWords] = useState('')
  const [chosen, setChosen] = useState(0)
  const field = useRef<HTMLInputElement>(null)
  const trimmed = words.trim()
  // only what answers these very words: Enter must not open what an earlier beginning had found
  const { currentData: data, isFetching } = api.useSearchQuery(
    { q: trimmed },
    {
      skip: trimmed === '' || only === 'actions',
    },
  )
  const [goWhenFound, setGoWhenFound] = useState(false)
  useEffect(() => {
    field.current?.focus()
  }, [])

  const { close, go, actions: all } = useActions()
  const actions = all.filter(({ title }) => title.toLowerCase().includes(trimmed.toLowerCase()))
  const found: readonly Hit[] = (trimmed === '' ? [] : (data?.hits ?? [])).flatMap(
    ({ kind, id, title, detail, patternId }) => {
      const target = PATHS[kind]
      return target
        ? [
            {
              key: id,
              title: detail && kind === 'material' ? `${title}, ${detail}` : title,
              sort: target.sort,
              go: go(target.path(id, patternId)),
            },
          ]
        : []
    },
  )
  const hits = only === 'actions' ? actions : [...found, ...(trimmed === '' ? [] : actions.slice(0, 3))]
  const at = Math.min(chosen, Math.max(hits.length - 1, 0))

  const first = hits[0]
  useEffect(() => {
    if (!goWhenFound || isFetching) return
    setGoWhenFound(false)
    first?.go()
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the first hit is made anew at each render
  }, [goWhenFound, isFetching])

  function onKeyDown(event: KeyboardEvent) {
    if (event.key === 'Escape') close()
    else if (event.key === 'ArrowDown') setChosen(Math.min(at + 1, hits.length - 1))
    else if (event.key === 'ArrowUp') setChosen(Math.max(at - 1, 0))
    else if (event.key === 'Enter' && isFetching) setGoWhenFound(true)
    else if (event.key === 'Enter') hits[at]?.go()
    else return
    event.preventDefault()
    event.stopPropagation()
  }

  return (
    <Panel role="search">
      <input
        ref={field}
        value={words}
        maxLength={80}
        onChange={(event) => {
          setWords(event.target.value)
          setChosen(0)
        }}
        onKeyDown={onKeyDown}
        role="combobox"
        aria-expanded={hits.length > 0}
        aria-controls="found"
        aria-activedescendant={hits[at] ? `found-${at}` : undefined}
        aria-label={only === 'actions' ? 'Find an action' : 'Find anything'}
        placeholder={only === 'actions' ? 'An action …' : 'A pattern, food, water, box, rig or material …'}
      />
      <ul id="found" role="listbox" aria-label={labels.found}>
        {hits.map((hit, i) => (
          <li key={hit.key} id={`found-${i}`} role="option" aria-selected={i === at} onClick={hit.go}>
            <span>{hit.title}</span>
            <span className="sort">{hit.sort}</span>
          </li>
        ))}
      </ul>
      {trimmed !== '' && hits.length === 0 ? <p>{labels.nothingBeginsSo}</p> : null}
    </Panel>
  )
}
