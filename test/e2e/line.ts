import { connect, createServer, type AddressInfo, type Socket } from 'node:net'

/** A line to a server that can be cut and mended: the browser's end stays the same address. */
export async function lineTo(address: string) {
  const { hostname, port } = new URL(address)
  const open = new Set<Socket>()
  const server = createServer(socket => {
    const far = connect(Number(port), hostname)
    for (const [end, other] of [
      [socket, far],
      [far, socket],
    ] as const) {
      open.add(end)
      end.on('error', () => other.destroy())
      end.on('close', () => {
        open.delete(end)
        other.destroy()
      })
      end.pipe(other)
    }
  })
  const listen = (at: number) => new Promise<void>(resolve => server.listen(at, '127.0.0.1', resolve))
  await listen(0)
  const near = (server.address() as AddressInfo).port
  const cut = () =>
    new Promise<void>(resolve => {
      server.close(() => resolve())
      open.forEach(socket => socket.destroy())
    })
  return { address: `http://127.0.0.1:${near}`, cut, mend: () => listen(near) }
}
