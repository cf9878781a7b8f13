import {Link} from '@mui/material'
import {useMutation} from '@tanstack/react-query'
import {ApiError} from '../lib/apiError'

/** Milliseconds between two questions whether it is printed, and how many are asked. */
const PAUSE = 700
const MOST = 100

/** A link to what the server prints: asks until it is there, and then saves it. */
export function PdfLink({href, name}: {href: string; name: string}) {
  const print = useMutation({mutationFn: () => printed(href)})
  const save = () =>
    print.mutate(undefined, {
      onSuccess: pdf => {
        const link = document.createElement('a')
        link.href = URL.createObjectURL(pdf)
        link.download = `${name}.pdf`
        link.click()
        // The browser has taken it by then.
        setTimeout(() => URL.revokeObjectURL(link.href), 60_000)
      },
    })
  return (
    <>
      <Link component="button" variant="body2" disabled={print.isPending} onClick={save}>
        {print.isPending ? 'Being printed…' : 'As PDF'}
      </Link>
      {print.error !== null && (
        <span role="alert" style={{flexBasis: '100%'}}>
          {print.error.message}
        </span>
      )}
    </>
  )
}

async function printed(href: string): Promise<Blob> {
  for (let asked = 0; asked < MOST; asked++) {
    const answer = await fetch(href, {headers: {Accept: 'application/json'}})
    if (answer.status === 200) return answer.blob()
    if (answer.status !== 202) {
      const {message} = (await answer.json().catch(() => ({}))) as {message?: string}
      throw new ApiError(message ?? `The server answered with ${answer.status}.`, answer.status)
    }
    await new Promise(done => setTimeout(done, PAUSE))
  }
  throw new ApiError('The printing takes too long. Try again in a while, or print it from here.', 0)
}
