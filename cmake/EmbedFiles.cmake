# Run with cmake -P: OUT=file.cpp HEADER=its header FUNCTION=name FILES="key=path;key=path".
# Writes files as bytes into a source file with a function that finds them by their key.
set(bytes "")
set(finds "")
set(number 0)
foreach(pair ${FILES})
  string(REGEX MATCH "^([^=]+)=(.*)$" ignored "${pair}")
  set(key ${CMAKE_MATCH_1})
  file(READ ${CMAKE_MATCH_2} hex HEX)
  string(LENGTH "${hex}" digits)
  math(EXPR size "${digits} / 2")
  string(REGEX REPLACE "(..)" "0x\\1," list "${hex}")
  string(APPEND bytes "constexpr unsigned char k_${number}[${size}] = {${list}};\n")
  string(APPEND finds "    if (key == \"${key}\")\n        return {reinterpret_cast<const char*>(k_${number}), ${size}};\n")
  math(EXPR number "${number} + 1")
endforeach()
file(WRITE ${OUT} "// Made by cmake/EmbedFiles.cmake.\n#include \"${HEADER}\"\n\nnamespace hillrun {\nnamespace {\n${bytes}}\n\n"
  "std::string_view ${FUNCTION}(std::string_view key) {\n${finds}    return {};\n}\n\n} // namespace hillrun\n")
