# Helpers: one adds a library, one adds a program, one adds a test. Flags belong to targets.

add_library(hillrun_flags INTERFACE)
target_compile_options(hillrun_flags INTERFACE
  -Wall -Wextra -Wpedantic -Wconversion -Wshadow -Werror)
target_include_directories(hillrun_flags INTERFACE ${PROJECT_SOURCE_DIR}/src)
if(HILLRUN_SANITIZE)
  # One build with clang serves the tests and the fuzz targets; its warnings are not errors, the main build has its own.
  # -O1 halves the build (tests: -O0).
  target_compile_options(hillrun_flags INTERFACE
    -fsanitize=fuzzer-no-link,address,undefined -fno-sanitize-recover=all -g1 -O1 -Wno-error)
  target_link_options(hillrun_flags INTERFACE -fsanitize=address,undefined)
endif()

function(hillrun_unity name batch)
  if(HILLRUN_UNITY)
    set_target_properties(${name} PROPERTIES UNITY_BUILD ON UNITY_BUILD_BATCH_SIZE ${batch})
  endif()
endfunction()

# hillrun_library(NAME SOURCES ... [LINKS ...] [PCH headers ...])
function(hillrun_library name)
  cmake_parse_arguments(A "" "" "SOURCES;LINKS;PRIVATE_LINKS;PCH" ${ARGN})
  add_library(${name} STATIC ${A_SOURCES})
  target_link_libraries(${name} PUBLIC ${A_LINKS} PRIVATE hillrun_flags ${A_PRIVATE_LINKS})
  target_include_directories(${name} PUBLIC ${PROJECT_SOURCE_DIR}/src)
  if(A_PCH)
    target_precompile_headers(${name} PRIVATE ${A_PCH})
  endif()
  hillrun_unity(${name} 5)
endfunction()

# hillrun_program(NAME SOURCES ... [LINKS ...])
function(hillrun_program name)
  cmake_parse_arguments(A "" "" "SOURCES;LINKS" ${ARGN})
  add_executable(${name} ${A_SOURCES})
  target_link_libraries(${name} PRIVATE ${A_LINKS} hillrun_flags)
endfunction()

# hillrun_test(NAME SOURCES ... [LINKS ...] [PCH headers ...] [ENVIRONMENT ...] [COMPUTES]): a Catch2 program, one ctest
# entry. Not optimised, which halves its compilation, unless it COMPUTES much itself.
# The shared main (tests/test_main.cpp) is compiled once, into hillrun_test_main.
function(hillrun_test name)
  cmake_parse_arguments(A "COMPUTES" "TIMEOUT" "SOURCES;LINKS;PCH;ENVIRONMENT" ${ARGN})
  add_executable(${name} ${A_SOURCES})
  target_link_libraries(${name} PRIVATE ${A_LINKS} hillrun_test_main hillrun_flags)
  target_include_directories(${name} PRIVATE ${PROJECT_SOURCE_DIR}/tests)
  list(LENGTH A_SOURCES files)
  if(files GREATER 5 OR A_PCH) # fewer are one unit: nothing would be read twice
    target_precompile_headers(${name} PRIVATE <catch2/catch.hpp> <string> <vector> ${A_PCH})
  endif()
  if(NOT A_COMPUTES)
    target_compile_options(${name} PRIVATE -O0)
    hillrun_unity(${name} 5)
  endif()
  add_test(NAME ${name} COMMAND ${name})
  if(NOT A_TIMEOUT)
    set(A_TIMEOUT 300)
  endif()
  set_tests_properties(${name} PROPERTIES TIMEOUT ${A_TIMEOUT} ENVIRONMENT "${A_ENVIRONMENT}")
endfunction()

# embed_files(OUT.cpp HEADER FUNCTION "key=path;..." DEPENDS...): files as bytes in a source file, found by their keys.
function(embed_files out header function files depends)
  add_custom_command(OUTPUT ${CMAKE_CURRENT_BINARY_DIR}/${out}
    COMMAND ${CMAKE_COMMAND} -DOUT=${CMAKE_CURRENT_BINARY_DIR}/${out} -DHEADER=${header} -DFUNCTION=${function}
      "-DFILES=${files}" -P ${PROJECT_SOURCE_DIR}/cmake/EmbedFiles.cmake
    DEPENDS ${depends} ${PROJECT_SOURCE_DIR}/cmake/EmbedFiles.cmake
    VERBATIM)
endfunction()
