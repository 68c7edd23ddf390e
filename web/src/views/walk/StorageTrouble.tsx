import { useEffect, useState } from 'react';
import { storageTrouble } from './device.ts';

/** Whether this device will keep a log, asked before one begins; nothing where it will. */
export function StorageTrouble() {
  const [trouble, setTrouble] = useState<string>();
  useEffect(() => void storageTrouble().then(setTrouble), []);
  return trouble ? (
    <p role="status" className="border-l-4 border-degraded pl-3 text-[0.87rem]">
      {trouble}
    </p>
  ) : null;
}
