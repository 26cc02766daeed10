import { useRouteError } from 'react-router';
import { Failed } from '../shared/states.js';
import { AppBar } from './app-bar.js';

/** In place of something that broke while it was drawn: what is kept on the server is as it was. */
export function Broken() {
  const error = useRouteError();
  const words = error instanceof Error ? error.message : String(error);
  return (
    <>
      <AppBar crumbs={[{ label: 'Sources', to: '/sources' }]} />
      <Failed
        error={new Error(`This place broke: ${words}. What was saved is as it was.`)}
        retry={() => location.reload()}
      />
    </>
  );
}
