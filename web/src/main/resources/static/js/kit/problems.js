// What is wrong with a field is heard where the field is: the message beside it is its description, and it is marked as wrong.

/** Ties each message to the fields it stands beside. */
export function tieProblems(root = document) {
  root.querySelectorAll('.has-problem').forEach((field, i) => {
    const problem = field.querySelector('.problem');
    if (!problem) return;
    problem.id ||= `has-problem-${i}`;
    field.querySelectorAll('input:not([type=hidden]), select, textarea').forEach((input) => {
      input.setAttribute('aria-invalid', 'true');
      const described = (input.getAttribute('aria-describedby') ?? '').split(' ').filter((id) => id && id !== problem.id);
      input.setAttribute('aria-describedby', [problem.id, ...described].join(' '));
    });
  });
}
