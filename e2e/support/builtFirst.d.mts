/** Makes the build and the yards that servers of tests begin from; returns what takes the yards away again. */
export default function builtFirst(): Promise<() => void>;
