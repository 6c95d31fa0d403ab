import { lazy, Suspense } from "react";
import { createBrowserRouter, Navigate, RouterProvider } from "react-router";
import { JobsPage } from "./features/jobs/JobsPage";
import { ServerGoneBar } from "./ui/ServerGoneBar";
import { NotHere } from "./ui/NotHere";
import { Waiting } from "./ui/pieces";

const ShelfPage = lazy(() => import("./features/shelf/ShelfPage"));
const JobPage = lazy(() => import("./features/job/JobPage"));

const router = createBrowserRouter([
  { path: "/", element: <JobsPage /> },
  {
    path: "/shelf",
    element: (
      <Suspense fallback={<Waiting what="Opening the gear shelf" />}>
        <ShelfPage />
      </Suspense>
    ),
  },
  { path: "/jobs/:id", element: <Navigate to="plan" replace relative="path" /> },
  {
    path: "/jobs/:id/:station",
    element: (
      <Suspense fallback={<Waiting what="Opening the job" />}>
        <JobPage />
      </Suspense>
    ),
  },
  { path: "*", element: <NotHere what="There is nothing at this address." /> },
]);

export function App() {
  return (
    <>
      <ServerGoneBar />
      <RouterProvider router={router} />
    </>
  );
}
