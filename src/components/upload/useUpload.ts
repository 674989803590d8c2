import { useEffect, useRef, useState } from 'react';
import { uploadFile, type SendStep, type SentAnswer } from './uploadFile';

/** A file that is on its way: how far it is, and a way to stop it. It is stopped when its page is left. */
export function useUpload() {
  const [step, setStep] = useState<SendStep | null>(null);
  const stopping = useRef<AbortController | null>(null);
  useEffect(() => () => stopping.current?.abort(), []);
  const send = async (url: string, file: File): Promise<SentAnswer> => {
    const stop = new AbortController();
    stopping.current = stop;
    setStep({ step: 'reading', share: 0 });
    const answer = await uploadFile(url, file, stop.signal, setStep);
    setStep(null);
    return answer;
  };
  return { step, send, stop: () => stopping.current?.abort() };
}
