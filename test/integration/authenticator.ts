import { createHash, generateKeyPairSync, randomBytes, sign, type KeyObject } from 'node:crypto'
import { isoCBOR } from '@simplewebauthn/server/helpers'

/** What the challenge comes with. */
interface Asked {
  readonly challenge: string
}

/** Flags of an answer: the user was there, proved who he is; and a key is part of it (W3C WebAuthn 6.1). */
const PRESENT_AND_VERIFIED = 0x05
const WITH_KEY = 0x40

/**
 * A device with one passkey (ES256), as W3C Web Authentication writes its answers; the key never leaves it.
 * What a test wants to be wrong it says.
 */
export class Authenticator {
  private readonly credentialId = randomBytes(32)
  private readonly keys: { publicKey: KeyObject; privateKey: KeyObject } = generateKeyPairSync('ec', {
    namedCurve: 'P-256',
  })
  /** signatures so far */
  counter = 0

  constructor(
    readonly origin: string,
    readonly host = new URL(origin).hostname,
  ) {}

  get id(): string {
    return this.credentialId.toString('base64url')
  }

  /** Makes the passkey. */
  made({ challenge }: Asked) {
    const length = Buffer.alloc(2)
    length.writeUInt16BE(this.credentialId.length)
    const data = Buffer.concat([
      this.data(PRESENT_AND_VERIFIED | WITH_KEY),
      Buffer.alloc(16),
      length,
      this.credentialId,
      this.coseKey(),
    ])
    const statement = new Map<string, unknown>([
      ['fmt', 'none'],
      ['attStmt', new Map()],
      ['authData', new Uint8Array(data)],
    ])
    const attestation = isoCBOR.encode(statement as never)
    return this.answer({
      clientDataJSON: this.clientData('webauthn.create', challenge).toString('base64url'),
      attestationObject: Buffer.from(attestation).toString('base64url'),
    })
  }

  /** Signs in. */
  signed({ challenge }: Asked, flags = PRESENT_AND_VERIFIED) {
    this.counter += 1
    const client = this.clientData('webauthn.get', challenge)
    const data = this.data(flags)
    const hash = createHash('sha256').update(client).digest()
    return this.answer({
      clientDataJSON: client.toString('base64url'),
      authenticatorData: data.toString('base64url'),
      signature: sign('sha256', Buffer.concat([data, hash]), this.keys.privateKey).toString('base64url'),
    })
  }

  private answer<T>(response: T) {
    return { id: this.id, rawId: this.id, type: 'public-key', clientExtensionResults: {}, response }
  }
  private clientData(type: string, challenge: string): Buffer {
    return Buffer.from(JSON.stringify({ type, challenge, origin: this.origin, crossOrigin: false }))
  }
  /** Hash of the host, flags, counter. */
  private data(flags: number): Buffer {
    const counter = Buffer.alloc(4)
    counter.writeUInt32BE(this.counter)
    return Buffer.concat([createHash('sha256').update(this.host).digest(), Buffer.from([flags]), counter])
  }
  /** RFC 9053: EC2, ES256, P-256, x, y. */
  private coseKey(): Uint8Array {
    const { x, y } = this.keys.publicKey.export({ format: 'jwk' })
    const bytes = (part = '') => new Uint8Array(Buffer.from(part, 'base64url'))
    const key = new Map<number, number | Uint8Array>([
      [1, 2],
      [3, -7],
      [-1, 1],
      [-2, bytes(x)],
      [-3, bytes(y)],
    ])
    return isoCBOR.encode(key as never)
  }
}
