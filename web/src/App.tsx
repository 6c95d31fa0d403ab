import { lazy, Suspense } from "react";
import { createBrowserRouter, Navigate, RouterProvider } from "react-router";
import { JobsScreen } from "./features/jobs/JobsScreen";
import { ServerGoneBar } from "./ui/ServerGoneBar";
import { NotHere } from "./ui/NotHere";
import { Waiting } from "./ui/pieces";

const ShelfScreen = lazy(() => import("./features/shelf/ShelfScreen"));
const WaysScreen = lazy(() => import("./features/ways/WaysScreen"));
const JobScreen = lazy(() => import("./features/job/JobScreen"));

const router = createBrowserRouter([
  { path: "/", element: <JobsScreen /> },
  {
    path: "/shelf",
    element: (
      <Suspense fallback={<Waiting what="Opening the gear shelf" />}>
        <ShelfScreen />
      </Suspense>
    ),
  },
  {
    path: "/ways",
    element: (
      <Suspense fallback={<Waiting what="Opening your way of working" />}>
        <WaysScreen />
      </Suspense>
    ),
  },
  { path: "/jobs/:id", element: <Navigate to="plan" replace relative="path" /> },
  {
    path: "/jobs/:id/:station",
    element: (
      <Suspense fallback={<Waiting what="Opening the job" />}>
        <JobScreen />
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
