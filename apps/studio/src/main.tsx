import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { createBrowserRouter, Navigate, RouterProvider } from 'react-router';
import { SWRConfig } from 'swr';
import { fetcher } from './api/api.js';
import { hearTabs } from './api/tabs.js';
import './app/app.css';
import { AddressesPage } from './addresses/addresses-page.js';
import { BenchPage } from './bench/bench-page.js';
import { FromPage, MappingPage } from './mapping/mapping-page.js';
import { PublishPage } from './publish/publish-page.js';
import { Broken } from './app/broken.js';
import { Shell } from './app/shell.js';
import { HelpPlace } from './help/help-page.js';
import { FieldPage } from './sources/field-page.js';
import { LookPage } from './sources/look/look-page.js';
import { PostsPage } from './sources/posts/posts-page.js';
import { ReplacePage } from './sources/replace/replace-page.js';
import { RunsPage } from './sources/replace/runs-page.js';
import { TermsPage } from './sources/terms/terms-page.js';
import { SourcePage } from './sources/source-page.js';
import { SourcesPage } from './sources/sources-page.js';

const router = createBrowserRouter([
  {
    // what breaks in a place is told there in words, with a way on
    errorElement: <Broken />,
    element: <Shell />,
    children: [
      { path: '/', element: <Navigate to="/sources" replace /> },
      { path: '/sources', element: <SourcesPage /> },
      { path: '/look', element: <LookPage /> },
      { path: '/sources/:slug', element: <SourcePage /> },
      { path: '/sources/:slug/replace', element: <ReplacePage /> },
      { path: '/sources/:slug/posts', element: <PostsPage /> },
      { path: '/sources/:slug/runs', element: <RunsPage /> },
      { path: '/sources/:slug/fields/:key', element: <FieldPage /> },
      { path: '/sources/:slug/terms/:key', element: <TermsPage /> },
      { path: '/lenses/:slug', element: <BenchPage /> },
      { path: '/from-page', element: <FromPage /> },
      { path: '/lenses/:slug/page', element: <MappingPage /> },
      { path: '/lenses/:slug/addresses', element: <AddressesPage /> },
      { path: '/lenses/:slug/publish', element: <PublishPage /> },
      { path: '/help', element: <HelpPlace /> },
      { path: '/help/:page', element: <HelpPlace /> },
      { path: '*', element: <Navigate to="/sources" replace /> },
    ],
  },
]);

hearTabs();

createRoot(document.getElementById('studio')!).render(
  <StrictMode>
    <SWRConfig value={{ fetcher, revalidateOnFocus: false }}>
      <RouterProvider router={router} />
    </SWRConfig>
  </StrictMode>,
);
