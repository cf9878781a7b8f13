import {Button} from '@mui/material'
import {useSuspenseQuery} from '@tanstack/react-query'
import {useParams} from 'react-router'
import {myReply} from '../../api/student'
import {Paper} from '../reply/Paper'
import {Screen} from '../frame/Screen'
import {MyFrame} from './MyFrame'

export const MyReply = () => (
  <Screen open>
    <Page />
  </Screen>
)

/** The reply, exactly as it was released. */
function Page() {
  const {token = '', handIn = ''} = useParams()
  const {data} = useSuspenseQuery(myReply(token, handIn))
  return (
    <MyFrame title={`Reply: ${data.assignment}`} home={`/my/${token}`}>
      <Button className="not-printed" onClick={() => print()} sx={{mb: 2}}>
        Print
      </Button>
      <Paper content={data} />
    </MyFrame>
  )
}
