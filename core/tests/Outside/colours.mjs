// Reads a JSON list of colours and prints what culori 4.0.2 makes of each: red, green, blue and alpha in sRGB, cut off at
// its borders; and of pairs of hex colours what wcag-contrast 3.0.0 gives.
import {readFileSync} from 'node:fs'
import {clampRgb, parse, rgb} from 'culori'
import {hex} from 'wcag-contrast'

for (const one of JSON.parse(readFileSync(0, 'utf8'))) {
  if (Array.isArray(one)) {
    console.log(JSON.stringify(hex(...one)))
    continue
  }
  const colour = clampRgb(rgb(parse(one)))
  console.log(JSON.stringify(colour === undefined ? null : [colour.r, colour.g, colour.b, colour.alpha ?? 1]))
}
