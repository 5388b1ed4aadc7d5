# Sourced by bin/start and bin/test: the right Node, and the packages of the lock file.
cd "$(dirname "${BASH_SOURCE[0]}")/../.."

if ! command -v node >/dev/null || ! node -e 'process.exit(+process.versions.node.split(".")[0] >= 20 ? 0 : 1)'; then
  echo "Critica needs Node 20 or newer; this machine has $(node --version 2>/dev/null || echo none)." >&2
  exit 1
fi

# The lock file is kept beside what was installed from it, so that an unchanged one costs nothing.
if ! cmp -s package-lock.json node_modules/.critica-lock.json; then
  echo "· installing the packages of package-lock.json (npm ci)"
  # npm 9 and 10, which come with Node 20, else miss peers that nobody needs, and npm 11 leaves out of the lock file.
  npm ci --legacy-peer-deps --no-audit --no-fund --loglevel=error
  cp package-lock.json node_modules/.critica-lock.json
fi
