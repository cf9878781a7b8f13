// Makes common-passwords.bin: the list of @zxcvbn-ts/language-common 3.0.4 (npm, MIT), which is in the order of how
// common they are. The first ten thousand, and of the rest those that are long enough to be taken here.
//   npm install --no-save @zxcvbn-ts/language-common@3.0.4 && node resources/common-passwords.mjs
import {createHash} from 'node:crypto'
import {writeFileSync} from 'node:fs'
import {createRequire} from 'node:module'

const COMMONEST = 10_000
const LEAST = 10
const BYTES = 6

const {dictionary} = createRequire(`${process.cwd()}/`)('@zxcvbn-ts/language-common')
const words = dictionary.passwords.filter((word, rank) => rank < COMMONEST || word.length >= LEAST)
const hashes = [...new Set(words.map(word => word.toLowerCase()))]
  .map(word => createHash('sha1').update(word).digest().subarray(0, BYTES))
  .sort(Buffer.compare)
writeFileSync(new URL('common-passwords.bin', import.meta.url), Buffer.concat(hashes))
