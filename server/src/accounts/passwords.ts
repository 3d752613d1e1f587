import { hash, verify } from '@node-rs/argon2';

/** Argon2id with the parameters that OWASP's Password Storage Cheat Sheet gives first: 19 MiB, 2 passes, 1 lane. */
const parameters = { memoryCost: 19_456, timeCost: 2, parallelism: 1 };

export function hashPassword(password: string): Promise<string> {
  return hash(password, parameters);
}

let decoy: Promise<string> | undefined;

/**
 * Whether the password is the one behind the hash. Without a hash (an unknown name) it does the same work and
 * says no, so that the time taken does not tell whether the name exists.
 */
export async function isPasswordRight(passwordHash: string | undefined, password: string): Promise<boolean> {
  decoy ??= hashPassword('nobody has this password');
  const isRight = await verify(passwordHash ?? (await decoy), password);
  return isRight && passwordHash !== undefined;
}
