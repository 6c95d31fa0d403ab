import { lazy, Suspense } from "react";
import { createBrowserRouter, Navigate, RouterProvider } from "react-router";
import { JobsPage } from "./features/jobs/JobsPage";
import { ServerGoneBar } from "./ui/ServerGoneBar";
import { Trouble, Waiting } from "./ui/pieces";

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
  { path: "*", element: <Trouble what="There is nothing at this address." why="The list of jobs is at the start." /> },
]);

export function App() {
  return (
    <>
      <ServerGoneBar />
      <RouterProvider router={router} />
    </>
  );
}
