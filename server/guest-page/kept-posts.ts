/** What somebody sent and no server has taken yet. */
export interface KeptPost {
  /** What the browser calls it, so that the server takes it once however often it arrives. */
  readonly id: string;
  readonly action: string;
  readonly fields: Readonly<Record<string, string>>;
  readonly photo: Blob | null;
  /** The page that it was made on. */
  readonly page: string;
}

const STORE = 'posts';

/** While the browser keeps nothing (a private window), posts are kept for as long as the page is open. */
const inMemory = new Map<string, KeptPost>();

const opened = new Promise<IDBDatabase | null>((resolve) => {
  try {
    const request = indexedDB.open('oilcan-reports', 1);
    request.onupgradeneeded = () => request.result.createObjectStore(STORE, { keyPath: 'id' });
    request.onsuccess = () => resolve(request.result);
    request.onerror = () => resolve(null);
    request.onblocked = () => resolve(null);
  } catch {
    resolve(null);
  }
});

/** Does something in the store; null where there is none or it failed. */
async function inStore<T>(mode: IDBTransactionMode, act: (store: IDBObjectStore) => IDBRequest<T>): Promise<T | null> {
  const database = await opened;
  if (database === null) return null;
  return new Promise((resolve) => {
    const transaction = database.transaction(STORE, mode);
    const request = act(transaction.objectStore(STORE));
    transaction.oncomplete = () => resolve(request.result);
    transaction.onabort = () => resolve(null);
    transaction.onerror = () => resolve(null);
  });
}

export async function keep(post: KeptPost): Promise<void> {
  const key = await inStore('readwrite', (store) => store.put(post));
  if (key === null) inMemory.set(post.id, post);
}

export async function letGo(id: string): Promise<void> {
  inMemory.delete(id);
  await inStore('readwrite', (store) => store.delete(id));
}

export async function keptPosts(): Promise<readonly KeptPost[]> {
  const stored = (await inStore<KeptPost[]>('readonly', (store) => store.getAll() as IDBRequest<KeptPost[]>)) ?? [];
  return [...stored, ...inMemory.values()];
}
