import { useSyncExternalStore } from 'react';
import { useSession } from '../api/queries';
import { locale } from '../words/speech';
import { say } from '../words/say';

const subscribe = (listener: () => void) => {
  window.addEventListener('online', listener);
  window.addEventListener('offline', listener);
  return () => {
    window.removeEventListener('online', listener);
    window.removeEventListener('offline', listener);
  };
};

/** Says that there is no connection, and as of when is what one sees. */
export function OfflineStrip() {
  const online = useSyncExternalStore(subscribe, () => navigator.onLine);
  const session = useSession();
  if (online && !session.isError) return null;
  const asOf = new Date(session.dataUpdatedAt).toLocaleTimeString(locale(), { hour: '2-digit', minute: '2-digit' });
  return (
    <p role="status" className="mx-auto w-full max-w-7xl border-l-4 border-ochre bg-ochre-wash px-4 py-2 text-sm text-ochre">
      {say('No connection. What you see is as it was at {asOf} or later; what you record is kept here and sent when it is back.', { asOf })}
    </p>
  );
}
