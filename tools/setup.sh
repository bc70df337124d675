# Shared by run-demo, run-tests and .ci/run: what a fresh Debian 12 machine needs, and how it is built.

BUILD_PACKAGES="g++ cmake ninja-build ccache pkg-config libboost-dev libboost-math-dev libboost-locale-dev gettext libeigen3-dev libfmt-dev \
nlohmann-json3-dev libfast-float-dev libarchive-dev libpugixml-dev zlib1g-dev nettle-dev libutf8proc-dev libcli11-dev libcairo2-dev catch2 librapidcheck-dev libbenchmark-dev \
qt6-base-dev qt6-svg-dev qt6-serialport-dev qt6-serialbus-dev qt6-l10n-tools qt6-translations-l10n libqcustomplot-dev libqcustomplot2.1-qt6 libpoppler-qt6-dev libpulse-dev libgl1-mesa-dev libopengl-dev libvulkan-dev fonts-b612"
TEST_PACKAGES="poppler-utils python3 libqt6sql6-sqlite libqt6sql6-psql postgresql"
PACKAGE_PACKAGES="dpkg-dev file gzip lintian desktop-file-utils appstream librsvg2-bin"
SANITIZER_PACKAGES="clang-14 libclang-rt-14-dev"
RUN_PACKAGES="libqt6svg6 libqt6sql6-sqlite libqt6sql6-psql qt6-qpa-plugins libxcb-cursor0 libxkbcommon-x11-0"

# need_packages NAME...: installs what is missing with apt-get, as root or through sudo.
need_packages() {
    missing=""
    for package in "$@"; do
        dpkg-query -W -f='${Status}' "$package" 2>/dev/null | grep -q "ok installed" || missing="$missing $package"
    done
    [ -z "$missing" ] && return 0
    echo "Installing with apt-get:$missing"
    asroot=""
    if [ "$(id -u)" != 0 ]; then
        command -v sudo >/dev/null || { echo "Not root and no sudo: install these by hand:$missing" >&2; return 1; }
        asroot=sudo
    fi
    $asroot apt-get update -qq
    $asroot env DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends $missing >/dev/null
}

jobs_at_once() { nproc 2>/dev/null || echo 2; }

# build_in FOLDER [TARGET]: configures once, then builds.
build_in() {
    [ -f "$1/build.ninja" ] || cmake -S . -B "$1" -G Ninja -DCMAKE_BUILD_TYPE=Release >/dev/null
    cmake --build "$1" --parallel "$(jobs_at_once)" ${2:+--target "$2"}
}

FUZZ_TARGETS="course csv day day_json gather matrix telemetry nmea trace typed zip"

# sanitized_build TARGET...: builds with clang, AddressSanitizer and UndefinedBehaviourSanitizer in build-sanitized; the
# tests there and the fuzz targets share every object.
sanitized_build() {
    [ -f build-sanitized/build.ninja ] || cmake --preset sanitized >/dev/null
    cmake --build build-sanitized --parallel "$(jobs_at_once)" --target "$@"
}
