import Link from 'next/link';
import type { Metadata } from 'next';
import classes from '../sign-in/page.module.css';

export const metadata: Metadata = { title: 'Trust this Roan' };

/** How a phone or tablet comes to trust the root that this Roan made for itself, step by step. */
export default function TrustPage() {
  return (
    <div className={classes.door} style={{ maxWidth: '34rem' }}>
      <h1>Trust this Roan</h1>
      <p>
        Roan made a root of its own, so that what goes between this device and it stays between them. Your device does
        not know that root yet, and warns. Once it does, the warning is gone for good.
      </p>
      <p>
        <a href="/api/root" download>
          1. Take the root: roan-root.crt
        </a>
      </p>
      <section aria-label="iPhone and iPad">
        <h2>iPhone and iPad</h2>
        <ol start={2}>
          <li>Open Settings; near the top it says that a profile was downloaded. Install it.</li>
          <li>Settings, General, About, Certificate Trust Settings: switch Roan’s root on.</li>
          <li>Come back to this page: the warning is gone.</li>
        </ol>
      </section>
      <section aria-label="Android">
        <h2>Android</h2>
        <ol start={2}>
          <li>Settings, Security, More security settings, Install from device storage (the words differ a little).</li>
          <li>Choose CA certificate, install anyway, and take roan-root.crt from the downloads.</li>
          <li>Come back to this page: the warning is gone.</li>
        </ol>
      </section>
      <section aria-label="A computer">
        <h2>A computer</h2>
        <ol start={2}>
          <li>Windows: open the file, Install certificate, into Trusted root certification authorities.</li>
          <li>Mac: open the file, find Roan’s root in the key chain, and always trust it.</li>
          <li>Linux: import it in the browser’s settings, under certificates, authorities.</li>
        </ol>
      </section>
      <p>
        Before you do: ask whoever runs this Roan to read you the fingerprint that its start printed, and look that the
        certificate has the same. Remove the root again when you no longer use this Roan.
      </p>
      <p>
        <Link href="/">On to Roan</Link>
      </p>
    </div>
  );
}
