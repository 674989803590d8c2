'use client';

import { createContext, useContext, useEffect, useState, type ReactNode } from 'react';
import type { Thread } from './threadCookie';
import { THREAD_COOKIE } from './threadName';

type ThreadState = { thread: Thread; follow: (part: Thread) => void };

const ThreadContext = createContext<ThreadState | null>(null);

const A_SEASON_S = 180 * 24 * 3600;

/** Keeps what one is working on named while moving between the places; the device remembers it. */
export function ThreadProvider({ initial, children }: { initial: Thread; children: ReactNode }) {
  const [thread, setThread] = useState(initial);
  const follow = (part: Thread) =>
    setThread(current => {
      const next = { ...current, ...part };
      document.cookie = `${THREAD_COOKIE}=${encodeURIComponent(JSON.stringify(next))}; path=/; max-age=${A_SEASON_S}; samesite=lax`;
      return next;
    });
  return <ThreadContext.Provider value={{ thread, follow }}>{children}</ThreadContext.Provider>;
}

export function useThread(): ThreadState {
  const state = useContext(ThreadContext);
  if (!state) throw new Error('useThread needs a ThreadProvider above it');
  return state;
}

/** Put on a page about a layout, a lesson or a pair: from here on, that is what one is working on. */
export function FollowThread({ layout, lesson, pair }: Thread) {
  const { follow } = useThread();
  const key = JSON.stringify({ layout, lesson, pair });
  useEffect(() => {
    follow(JSON.parse(key) as Thread);
    // `follow` is new at each render; what matters is what is followed.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key]);
  return null;
}
