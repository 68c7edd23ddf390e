// The page that pairs: takes the secret from the address's fragment, or the code that is typed.
const secret = location.hash.slice(1);
const status = document.getElementById('status');
const code = document.getElementById('code');
if (secret !== '') {
  status.textContent = 'Scanned: name this device and pair it.';
  code.hidden = true;
  document.getElementById('code-label').hidden = true;
  // The secret does not stay in the history.
  history.replaceState(null, '', '/pair');
}
document.getElementById('form').addEventListener('submit', async (event) => {
  event.preventDefault();
  const answer = await fetch('/pair', {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({
      name: document.getElementById('name').value,
      ...(secret === '' ? { code: code.value } : { secret }),
    }),
  });
  if (answer.status === 204) location.assign('/');
  else {
    const { what, todo } = await answer.json();
    status.textContent = `${what} ${todo}`;
  }
});
