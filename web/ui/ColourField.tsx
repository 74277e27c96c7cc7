import {
  Button as Pressed,
  ColorArea,
  ColorField,
  ColorPicker,
  ColorSlider,
  ColorThumb,
  Dialog,
  DialogTrigger,
  Input,
  Label,
  parseColor,
  Popover,
  SliderTrack,
} from 'react-aria-components'
import styled from 'styled-components'

const Swatch = styled(Pressed)`
  width: 44px;
  min-height: 32px;
  border: 1px solid var(--quiet);
  border-radius: 6px;
  cursor: pointer;
`
const Panel = styled(Popover)`
  padding: 12px;
  background: var(--panel);
  border: 1px solid var(--rule);
  border-radius: 8px;
  .thumb {
    width: 18px;
    height: 18px;
    border: 2px solid #fff;
    border-radius: 50%;
    box-shadow: 0 0 0 1px #000;
  }
  .thumb[data-focus-visible] {
    outline: 2px solid var(--thistle);
    outline-offset: 2px;
  }
  .area {
    width: 192px;
    height: 132px;
    border-radius: 4px;
  }
  .track {
    width: 192px;
    height: 22px;
    margin: 10px 0;
    border-radius: 4px;
  }
  .track .thumb {
    top: 50%;
  }
  input {
    width: 96px;
    min-height: 32px;
    margin-left: 6px;
    font: inherit;
    color: var(--ink);
    background: var(--panel);
    border: 1px solid var(--rule);
    border-radius: 6px;
  }
`

interface ColourFieldProps {
  readonly label: string
  readonly hex: string
  readonly onChange: (hex: string) => void
}

/** A colour: a swatch that opens hue, strength and lightness, by mouse, by touch and by arrow keys, or as a hex figure. */
export function ColourField({ label, hex, onChange }: ColourFieldProps) {
  return (
    <ColorPicker value={parseColor(hex)} onChange={(colour) => onChange(colour.toString('hex').toLowerCase())}>
      <DialogTrigger>
        <Swatch aria-label={label} style={{ background: hex }} />
        <Panel placement="bottom start">
          <Dialog aria-label={label} style={{ outline: 'none' }}>
            <ColorArea colorSpace="hsb" xChannel="saturation" yChannel="brightness" className="area">
              <ColorThumb className="thumb" />
            </ColorArea>
            <ColorSlider colorSpace="hsb" channel="hue" aria-label="Hue">
              <SliderTrack className="track">
                <ColorThumb className="thumb" />
              </SliderTrack>
            </ColorSlider>
            <ColorField>
              <Label>Hex</Label>
              <Input />
            </ColorField>
          </Dialog>
        </Panel>
      </DialogTrigger>
    </ColorPicker>
  )
}
