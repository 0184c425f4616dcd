import sharp from 'sharp'

/** Pictures drawn for the demo works: nobody's machine was photographed for them. */
const DRAWINGS = {
  crack: `<rect width="1200" height="900" fill="#6d7378"/><rect y="520" width="1200" height="380" fill="#585e63"/>
    <path d="M0 520H1200" stroke="#8d949a" stroke-width="26"/><rect x="360" y="180" width="480" height="340" fill="#7b8288"/>
    <circle cx="600" cy="350" r="70" fill="#4a4f54"/><path d="M565 350l18-31h34l18 31-18 31h-34z" fill="#9aa1a7"/>
    <path d="M842 500l38 34-12 26 44 30-8 40 52 26" fill="none" stroke="#1d2023" stroke-width="7"/>
    <path d="M842 500l38 34-12 26 44 30-8 40 52 26" fill="none" stroke="#c9b27a" stroke-width="2"/>`,
  grid: `<rect width="1200" height="900" fill="#4f5559"/><circle cx="600" cy="450" r="360" fill="#6f767b"/><circle cx="600" cy="450" r="150" fill="#3f4448"/>
    ${Array.from({ length: 24 }, (_, i) => `<path transform="rotate(${i * 15} 600 450)" d="M592 110h16v190h-16z" fill="${i === 5 ? '#2a2d30' : '#a7aeb3'}"/>`).join('')}
    <path transform="rotate(75 600 450)" d="M585 190l30 26" stroke="#d7c48f" stroke-width="9"/>`,
  flanks: `<rect width="1200" height="900" fill="#5a5f63"/>${[0, 1]
    .map(
      (i) =>
        `<g transform="translate(${60 + 570 * i} 180)"><path d="M0 60Q255 150 510 60V420Q255 500 0 420Z" fill="#9aa1a6"/><path d="M${
          i === 0 ? 194 : 153
        } 150h184v240h-184z" fill="#39478f" opacity="0.8"/><path d="M${i === 0 ? 194 : 153} 180q92 26 184 0M${
          i === 0 ? 194 : 153
        } 250q92 26 184 0M${i === 0 ? 194 : 153} 320q92 26 184 0" stroke="#222c66" stroke-width="6" fill="none"/></g>`,
    )
    .join('')}`,
} as const
export type DemoPicture = keyof typeof DRAWINGS

/** A demo picture as a camera would send it. */
export const drawPicture = (name: DemoPicture): Promise<Buffer> =>
  sharp(
    Buffer.from(
      `<svg xmlns="http://www.w3.org/2000/svg" width="1200" height="900" viewBox="0 0 1200 900">${DRAWINGS[name]}</svg>`,
    ),
  )
    .jpeg({ quality: 80 })
    .toBuffer()
