// Reference for EncodingTest: reads a JSON list of pages in base64 from standard input; writes what html-encoding-sniffer takes
// each for with UTF-8 as default, and what whatwg-encoding makes of it, or Node's TextDecoder for the encodings it lacks.
import {readFileSync} from 'node:fs'
import sniff from 'html-encoding-sniffer'
import whatwg from 'whatwg-encoding'

const pages = JSON.parse(readFileSync(0, 'utf8')).map(page => Buffer.from(page, 'base64'))
console.log(JSON.stringify(pages.map(page => {
  const name = sniff(page, {defaultEncoding: 'UTF-8'})
  return {name, text: whatwg.isSupported(name) ? whatwg.decode(page, name) : new TextDecoder(name).decode(page)}
})))
