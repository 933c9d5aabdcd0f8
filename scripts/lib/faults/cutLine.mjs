import { connect, createServer } from 'node:net'

/**
 * The network between the benches and the server: a line that can be cut, with whatever is on its way.
 * @param port of the server on loopback
 * @returns {Promise<{ address: string, cut: (ms: number) => Promise<void>, close: () => Promise<void> }>}
 */
export async function cutLine(port) {
  const sockets = new Set()
  let isCut = false
  const server = createServer(from => {
    if (isCut) return from.destroy()
    const to = connect(port, '127.0.0.1')
    for (const socket of [from, to]) {
      sockets.add(socket)
      socket.on('error', () => {})
      socket.on('close', () => {
        sockets.delete(socket)
        from.destroy()
        to.destroy()
      })
    }
    from.pipe(to).pipe(from)
  })
  await new Promise(resolve => server.listen(0, '127.0.0.1', resolve))
  const cutAll = () => sockets.forEach(socket => socket.destroy())
  return {
    address: `http://127.0.0.1:${server.address().port}`,
    cut: async ms => {
      isCut = true
      cutAll()
      await new Promise(resolve => setTimeout(resolve, ms))
      isCut = false
    },
    close: () => {
      cutAll()
      return new Promise(resolve => server.close(resolve))
    },
  }
}
