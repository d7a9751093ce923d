// Passkeys, as the browser makes and finds them: what it takes and gives as bytes goes over the line as text (base64url,
// RFC 4648 §5).
import { ask, type Answer } from './ask';
import { client } from './client';

type Json = Record<string, unknown>;
type Options = Json & { challenge: string };

export const possible = (): boolean => 'PublicKeyCredential' in globalThis && isSecureContext;

const bytes = (text: string): ArrayBuffer =>
  Uint8Array.from(atob(text.replaceAll('-', '+').replaceAll('_', '/')), (one) => one.charCodeAt(0)).buffer;

const text = (buffer: ArrayBuffer): string =>
  btoa(String.fromCharCode(...new Uint8Array(buffer)))
    .replaceAll('+', '-')
    .replaceAll('/', '_')
    .replaceAll('=', '');

const ids = (list: unknown): PublicKeyCredentialDescriptor[] =>
  ((list ?? []) as { id: string; type: 'public-key' }[]).map((one) => ({ ...one, id: bytes(one.id) }));

function given(credential: PublicKeyCredential): Json {
  const { response } = credential;
  const parts =
    response instanceof AuthenticatorAttestationResponse
      ? { attestationObject: text(response.attestationObject) }
      : assertion(response as AuthenticatorAssertionResponse);
  return {
    type: credential.type,
    id: credential.id,
    rawId: text(credential.rawId),
    clientExtensionResults: credential.getClientExtensionResults(),
    response: { clientDataJSON: text(response.clientDataJSON), ...parts },
  };
}

function assertion(response: AuthenticatorAssertionResponse): Json {
  return {
    authenticatorData: text(response.authenticatorData),
    signature: text(response.signature),
    userHandle: response.userHandle ? text(response.userHandle) : null,
  };
}

/** Somebody thought better of it, or the device has none. */
export const NONE = 'Your browser found no passkey. Try again, or use your password.';

/** Adds one to the account that is signed in. @returns nothing where the browser made none */
export async function add(password: string): Promise<Answer<unknown> | undefined> {
  const asked = await ask(client.POST('/api/account/webauthn-setup', { body: { password } as never }));
  if (asked.kind !== 'data') return asked;
  const data = asked.data as Json;
  const options = data['webauthn_setup'] as Options & { user: { id: string; name: string } };
  const publicKey = {
    ...options,
    challenge: bytes(options.challenge),
    user: { ...options.user, displayName: options.user.name, id: bytes(options.user.id) },
    excludeCredentials: ids(options['excludeCredentials']),
  } as unknown as PublicKeyCredentialCreationOptions;
  const made = await navigator.credentials.create({ publicKey }).catch(() => null);
  if (!made) return undefined;
  const body = {
    ...challenge(data, 'webauthn_setup'),
    password,
    webauthn_setup: given(made as PublicKeyCredential),
  };
  return ask(client.POST('/api/account/webauthn-setup', { body: body as never }));
}

/** Signs in with one that this device has. @returns nothing where none was used */
export async function use(): Promise<Answer<unknown> | undefined> {
  const asked = await ask(client.POST('/api/account/webauthn-login', { body: {} as never }));
  if (asked.kind !== 'data') return asked;
  const data = asked.data as Json;
  const options = data['webauthn_auth'] as Options;
  const publicKey = {
    ...options,
    challenge: bytes(options.challenge),
    allowCredentials: ids(options['allowCredentials']),
  } as unknown as PublicKeyCredentialRequestOptions;
  const found = await navigator.credentials.get({ publicKey }).catch(() => null);
  if (!found) return undefined;
  const body = { ...challenge(data, 'webauthn_auth'), webauthn_auth: given(found as PublicKeyCredential) };
  return ask(client.POST('/api/account/webauthn-login', { body: body as never }));
}

function challenge(data: Json, name: string): Json {
  return Object.fromEntries(
    ['challenge', 'challenge_hmac'].map((end) => [`${name}_${end}`, data[`${name}_${end}`]]),
  );
}
