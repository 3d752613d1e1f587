import { create, type StoreApi, type UseBoundStore } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';

interface Choice<Value> {
  readonly value: Value;
  readonly choose: (value: Value) => void;
}

export type KeptChoice<Value> = UseBoundStore<StoreApi<Choice<Value>>>;

interface Options<Value> {
  /** What was kept, whatever it is, as a value. */
  readonly read: (kept: unknown) => Value;
  /** Whether it is the person's, who takes it along when they sign out, and not the device's. */
  readonly isPersonal: boolean;
}

const forgetting: (() => void)[] = [];

/**
 * Something that a person chose; survives a reload where the browser keeps anything, and lasts until then where it does not.
 *
 * @param name under which the browser keeps it
 */
export function keptChoice<Value>(name: string, first: Value, { read, isPersonal }: Options<Value>): KeptChoice<Value> {
  const useChoice = create<Choice<Value>>()(
    persist((set) => ({ value: first, choose: (value) => set({ value }) }), {
      name,
      storage: createJSONStorage(() => localStorage),
      partialize: ({ value }) => ({ value }),
      merge: (kept, fresh) => ({ ...fresh, value: read((kept as { readonly value?: unknown } | undefined)?.value) }),
    }),
  );
  if (isPersonal) forgetting.push(() => useChoice.getState().choose(first));
  // What another window of this browser chose or forgot holds here too, before this one writes over it.
  window.addEventListener('storage', ({ key }) => {
    if (key === name) void useChoice.persist.rehydrate();
  });
  return useChoice;
}

/** Something else that is the person's, and goes when they sign out. */
export function onForget(forget: () => void): void {
  forgetting.push(forget);
}

/** Whoever comes next begins with nothing chosen. */
export function forgetChoices(): void {
  for (const forget of forgetting) forget();
}
