import { saveFile } from './saveFile.ts'

/** Every rule of the page's theme that the picture uses, written into a copy of the drawing. */
function withColours(svg: SVGSVGElement): string {
  const copy = svg.cloneNode(true) as SVGSVGElement
  const { width, height } = svg.viewBox.baseVal
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg')
  copy.setAttribute('width', String(width * 2))
  copy.setAttribute('height', String(height * 2))
  const theme = getComputedStyle(document.documentElement)
  return new XMLSerializer()
    .serializeToString(copy)
    .replace(/var\((--[A-Za-z]+)\)/g, (_, name: string) => theme.getPropertyValue(name).trim() || '#000000')
}

/** A drawing as it stands, as a picture: it carries its colours and its view box itself. */
export async function savePng(svg: SVGSVGElement, name: string): Promise<void> {
  const image = new Image()
  const loaded = new Promise((resolve, reject) => {
    image.onload = resolve
    image.onerror = reject
  })
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(withColours(svg))}`
  await loaded
  const canvas = document.createElement('canvas')
  canvas.width = image.width
  canvas.height = image.height
  const context = canvas.getContext('2d')
  if (!context) return
  context.fillStyle = getComputedStyle(document.body).backgroundColor
  context.fillRect(0, 0, canvas.width, canvas.height)
  context.drawImage(image, 0, 0)
  const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/png'))
  if (blob) saveFile(name, blob)
}
