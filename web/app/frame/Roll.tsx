import {
  Bug,
  Droplets,
  FlaskConical,
  Grid2x2,
  Moon,
  Package,
  Scissors,
  Settings,
  Spline,
  Waves,
} from 'lucide-react'
import type { LucideIcon } from 'lucide-react'
import { memo, useEffect, useRef } from 'react'
import { NavLink, useLocation } from 'react-router'
import styled from 'styled-components'
import type { FrameView } from '../../../contract/index.ts'
import { PLACES } from '../places.ts'
import type { PlaceName } from '../places.ts'
import { useStandings } from '../../wire/useStandings.ts'
import { useDoneCount } from '../../wire/counted.ts'
import { dayName } from '../../words/words.ts'
import { labels } from '../../words/frame.ts'

const ICONS: Readonly<Record<PlaceName, LucideIcon>> = {
  Tonight: Moon,
  Waters: Waves,
  Larder: Bug,
  Patterns: Spline,
  Tank: FlaskConical,
  Bench: Scissors,
  Boxes: Grid2x2,
  Outings: Droplets,
  Stores: Package,
}

/** What a pocket holds, in words. */
function contents(name: PlaceName, frame: FrameView, done: number, holes: number | null): string {
  const { roll, onVise } = frame
  switch (name) {
    case 'Waters':
      return `${roll.waters}`
    case 'Larder':
      return 'what trout eat'
    case 'Patterns':
      return `${roll.patterns}`
    case 'Bench':
      return onVise ? `${done} of ${onVise.planned}` : roll.queued > 0 ? `${roll.queued} waiting` : 'vise empty'
    case 'Boxes':
      return holes === null ? '…' : holes > 0 ? `${holes} ${holes === 1 ? 'hole' : 'holes'}` : 'no hole'
    case 'Outings':
      return roll.nextOutingOn ? dayName(roll.nextOutingOn).replace(/ (\w{3})\w*$/, ' $1') : 'none planned'
    case 'Stores':
      return roll.lowMaterials > 0 ? `${roll.lowMaterials} low` : 'nothing low'
    default:
      return ''
  }
}

const Tool = styled.nav`
  grid-area: roll;
  display: flex;
  flex-direction: column;
  padding: 10px 0 8px;
  border-right: 1px solid var(--rule);
  overflow-y: auto;
  .title {
    padding: 0 14px 8px;
    font-weight: 650;
    color: var(--thistle);
  }
  a.pocket {
    display: grid;
    grid-template-columns: 18px 20px 1fr;
    align-items: start;
    gap: 6px;
    padding: 7px 10px 7px 12px;
    color: var(--ink);
    text-decoration: none;
    border-left: 3px solid transparent;
    border-bottom: 1px dashed var(--rule);
  }
  a.pocket:hover .name {
    text-decoration: underline;
  }
  a.pocket.active {
    background: var(--panel);
    border-left-color: var(--thistle);
  }
  a.pocket.active .name {
    font-weight: 650;
  }
  kbd {
    font: 0.8125rem/1.5 var(--figures);
    color: var(--quiet);
  }
  svg {
    width: 18px;
    height: 18px;
    margin-top: 2px;
  }
  .words {
    display: block;
    font-size: 0.8125rem;
    color: var(--quiet);
    line-height: 1.2;
  }
  .foot {
    margin-top: auto;
  }
  /* at the vise the roll gives way: digits and icons, their words for those who hear them */
  @media (min-width: 701px) {
    [data-vise='true'] & {
      .title {
        visibility: hidden;
      }
      a.pocket {
        grid-template-columns: 12px 20px;
        padding: 8px 6px;
      }
      a.pocket > span {
        position: absolute;
        width: 1px;
        height: 1px;
        overflow: hidden;
        clip-path: inset(50%);
        white-space: nowrap;
      }
    }
  }
  @media (max-width: 700px) {
    flex-direction: row;
    padding: 0;
    border-right: 0;
    border-bottom: 1px solid var(--rule);
    .title,
    .words,
    kbd {
      display: none;
    }
    a.pocket {
      display: flex;
      min-width: 48px;
      min-height: 48px;
      justify-content: center;
      align-items: center;
      border: 0;
      border-bottom: 3px solid transparent;
      padding: 4px 8px;
    }
    a.pocket .name {
      font-size: 0.75rem;
    }
    a.pocket svg {
      display: none;
    }
    a.pocket.active {
      border-bottom-color: var(--thistle);
    }
    .foot {
      margin-top: 0;
    }
  }
`

/** The tool roll: a pocket for each place, in work order, with what it holds. */
export const Roll = memo(function Roll({ frame }: { readonly frame: FrameView }) {
  const done = useDoneCount(frame.onVise)
  const standings = useStandings()
  const roll = useRef<HTMLElement>(null)
  const { pathname } = useLocation()
  // where the pockets lie in a line, the open one comes into view
  useEffect(() => {
    roll.current?.querySelector('.active')?.scrollIntoView({ block: 'nearest', inline: 'center' })
  }, [pathname])
  return (
    <Tool ref={roll} aria-label={labels.places}>
      <span className="title">{labels.heavyThistle}</span>
      {PLACES.map(({ digit, path, name }) => {
        const Icon = ICONS[name]
        return (
          <NavLink key={name} to={path} end={path === '/'} className="pocket">
            <kbd aria-hidden="true">{digit}</kbd>
            <Icon aria-hidden="true" strokeWidth={1.6} />
            <span>
              <span className="name">{name}</span>
              <span className="words">{contents(name, frame, done, standings?.holes ?? null)}</span>
            </span>
          </NavLink>
        )
      })}
      <NavLink to="/settings" className="pocket foot">
        <kbd aria-hidden="true" />
        <Settings aria-hidden="true" strokeWidth={1.6} />
        <span>
          <span className="name">{labels.settings}</span>
          <span className="words">{labels.unitsScreenKeys}</span>
        </span>
      </NavLink>
    </Tool>
  )
})
