// In which order observations are made.

/** All endpoints of a unit after each other, or one endpoint of all units; units stay in the order they stand. */
export function inOrder(tasks, byEndpoint) {
  tasks.forEach((task, i) => { task.order ??= i; });
  const asListed = [...tasks].sort((one, other) => one.order - other.order);
  const endpoints = [...new Set(asListed.map((task) => task.endpoint))];
  const turn = (task) => (byEndpoint ? endpoints.indexOf(task.endpoint) : 0);
  return asListed.sort((one, other) => turn(one) - turn(other) || one.order - other.order);
}
