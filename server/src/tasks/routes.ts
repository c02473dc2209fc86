import { endpoints, newTask, taskChange, type NewTask } from '@green-beam/contract';
import type { Router } from 'express';
import { managerOwns, staffOwns } from '../access/membership';
import { route } from '../access/route';
import type { Services } from '../services';
import { changeTask, ownTasks, setTask, tasksOf } from './service';

export function taskRoutes(router: Router, services: Services): void {
  route(router, endpoints.ownTasks, {
    allow: 'student',
    run: ({ who }) => ownTasks(services, who),
  });
  route(router, endpoints.tasks, {
    allow: 'teacher',
    owns: staffOwns,
    run: ({ who, owned }) => tasksOf(services, who, owned),
  });
  route(router, endpoints.setTask, {
    allow: 'teacher',
    owns: managerOwns,
    body: newTask,
    run: ({ who, owned, body }) => setTask(services, who, owned, body as NewTask),
  });
  route(router, endpoints.changeTask, {
    allow: 'teacher',
    owns: managerOwns,
    body: taskChange,
    run: ({ who, owned, params, body }) => changeTask(services, who, owned, params['taskId'] ?? '', body),
  });
}
