/** Stands before a server, and lets each answer wait. node slow.mjs PORT TARGET MILLISECONDS */
import {connect, createServer} from 'node:net'

const [port, target, wait] = process.argv.slice(2).map(Number)
createServer(client => {
  const server = connect(target, '127.0.0.1')
  client.pipe(server)
  server.on('data', bytes => setTimeout(() => client.writable && client.write(bytes), wait))
  server.on('end', () => setTimeout(() => client.end(), wait))
  for (const one of [client, server]) one.on('error', () => (client.destroy(), server.destroy()))
}).listen(port, '127.0.0.1')
