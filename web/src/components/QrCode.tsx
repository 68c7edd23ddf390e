import { toString } from 'qrcode';
import { useEffect, useState } from 'react';

/** An address as a picture to scan. */
export function QrCode({ address, what, size = 150 }: { address: string; what: string; size?: number }) {
  const [picture, setPicture] = useState<string>();
  useEffect(() => void toString(address, { type: 'svg', margin: 1 }).then(setPicture), [address]);
  return picture === undefined ? null : (
    <img
      alt={what}
      width={size}
      height={size}
      src={`data:image/svg+xml;utf8,${encodeURIComponent(picture)}`}
    />
  );
}
