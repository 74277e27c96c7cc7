/** Family, size and colour of a drawer in words: `Tungsten alloy bead, slotted 2.8, copper`; hooks with their mark: `#16`. */
export function drawerName(familyName: string, sizeKey: string, colourName: string): string {
  const size = sizeKey && familyName.startsWith('Hook') ? `#${sizeKey}` : sizeKey
  return [size ? `${familyName} ${size}` : familyName, colourName].filter(Boolean).join(', ')
}
