'use client';

import { SendFilm } from '@/components/film/SendFilm';
import { useRouter } from 'next/navigation';
import { useState } from 'react';

type SendMineProps = { pairs: readonly { id: string; name: string }[]; today: string };

/** A rider sends a film from home, to be looked at by the instructor. */
export function SendMine({ pairs, today }: SendMineProps) {
  const router = useRouter();
  const [sent, setSent] = useState(false);
  return (
    <>
      <h3>Send a film</h3>
      <SendFilm
        pairs={pairs}
        today={today}
        asks
        onSent={() => {
          setSent(true);
          router.refresh();
        }}
      />
      {sent && <p role="status">It is with your instructor: what is said of it will stand here.</p>}
    </>
  );
}
