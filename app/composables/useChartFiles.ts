import { downloadBytes } from '../utils/download'

const KEYS = ['fill', 'stroke', 'stroke-width', 'stroke-dasharray', 'font-size', 'font-family', 'font-weight']

/** Charts as files: a drawing with the colours it has on the screen written into it, or a picture of that. */
export function useChartFiles() {
  function svgText(svg: SVGSVGElement): string {
    const copy = svg.cloneNode(true) as SVGSVGElement
    const [from, to] = [
      [svg, ...svg.querySelectorAll('*')],
      [copy, ...copy.querySelectorAll('*')],
    ]
    from.forEach((el, i) => {
      const style = getComputedStyle(el)
      for (const key of KEYS) (to[i] as SVGElement).setAttribute(key, style.getPropertyValue(key))
      to[i]!.removeAttribute('class')
      to[i]!.removeAttribute('style')
    })
    copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg')
    return new XMLSerializer().serializeToString(copy)
  }
  const saveSvg = (svg: SVGSVGElement, name: string): void =>
    downloadBytes(`${name}.svg`, new TextEncoder().encode(svgText(svg)), 'image/svg+xml')
  async function savePng(svg: SVGSVGElement, name: string): Promise<void> {
    const image = new Image()
    image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svgText(svg))}`
    await image.decode()
    const canvas = document.createElement('canvas')
    const box = svg.viewBox.baseVal
    canvas.width = box.width * 2
    canvas.height = box.height * 2
    const paper = canvas.getContext('2d')!
    paper.fillStyle = '#fff'
    paper.fillRect(0, 0, canvas.width, canvas.height)
    paper.drawImage(image, 0, 0, canvas.width, canvas.height)
    const blob = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/png'))
    if (blob) downloadBytes(`${name}.png`, new Uint8Array(await blob.arrayBuffer()), 'image/png')
  }
  return { saveSvg, savePng }
}
