# zelo_layer(mix USES light colour base PRIVATE Eigen3::Eigen PUBLIC ...)
# One folder of src/ = one static library zelo_NAME. What a layer may know is on that one line:
# it links nothing else, and tools/check_includes refuses includes that no line allows.
add_library(zelo_warnings INTERFACE)
# In a release, at -O3, g++ 12 warns of overflows in "x" + std::string that are not there (GCC bug 105651).
target_compile_options(zelo_warnings INTERFACE -Wall -Wextra -Wconversion -Wshadow -Wnon-virtual-dtor
                                               -Woverloaded-virtual $<$<NOT:$<CONFIG:Release>>:-Werror>
    # g++ 12 sees an overlap in "x" + std::string that is not there (GCC bug 105329)
    $<$<CXX_COMPILER_ID:GNU>:-Wno-restrict>)

# The compiler collects its garbage so often that it costs a tenth of a build: let it have 2 GB first.
if(CMAKE_CXX_COMPILER_ID STREQUAL GNU)
    add_compile_options(--param=ggc-min-expand=1000 --param=ggc-min-heapsize=2000000)
endif()

# Headers of the standard library and fmt that nearly all files read, read once. The sanitizer and
# bench presets build without them, so a file that leans on them fails there.
find_package(fmt REQUIRED)
find_package(Threads REQUIRED)
file(CONFIGURE OUTPUT ${CMAKE_BINARY_DIR}/pch.cpp CONTENT "" @ONLY)
set(zelo_common_headers <algorithm> <array> <cmath> <filesystem> <functional> <map> <memory> <mutex> <optional> <span>
                        <string> <string_view> <thread> <tuple> <utility> <variant> <vector> <fmt/format.h>
                        <tl/expected.hpp>)

# What most of the window reads of Qt; not all of Qt, which takes as long to load as a file to build.
set(zelo_desk_headers <QBoxLayout> <QComboBox> <QFileDialog> <QKeyEvent> <QLabel> <QLineEdit> <QListWidget> <QMenu>
                      <QMessageBox> <QPainter> <QPushButton> <QSettings> <QTableWidget> <QTimer>
                      <desk/kit/document.h> <desk/kit/draw.h> <desk/kit/qt_text.h>)

# What only shows, asks, reads and writes needs no long optimising; sums and solvers get it.
# (At -O1 g++ 12 takes values inside optionals for uninitialised that are not.)
set(ZELO_QUICK_FLAGS $<$<CONFIG:None>:-O1> $<$<CXX_COMPILER_ID:GNU>:-Wno-maybe-uninitialized>)

add_library(zelo_pch OBJECT ${CMAKE_BINARY_DIR}/pch.cpp)
add_library(zelo_quick_pch OBJECT ${CMAKE_BINARY_DIR}/pch.cpp)
target_compile_options(zelo_quick_pch PRIVATE ${ZELO_QUICK_FLAGS})
foreach(pch zelo_pch zelo_quick_pch)
    target_link_libraries(${pch} PRIVATE fmt::fmt Threads::Threads zelo_warnings)
    target_precompile_headers(${pch} PRIVATE ${zelo_common_headers})
endforeach()

function(zelo_layer name)
    cmake_parse_arguments(L "QT;QUICK" "" "USES;PUBLIC;PRIVATE;PCH" ${ARGN})
    file(GLOB_RECURSE sources CONFIGURE_DEPENDS ${CMAKE_CURRENT_SOURCE_DIR}/*.cpp)
    if(L_QT)
        file(GLOB_RECURSE headers CONFIGURE_DEPENDS ${CMAKE_CURRENT_SOURCE_DIR}/*.h)
        list(APPEND sources ${headers})
    endif()
    add_library(zelo_${name} STATIC ${sources})
    target_include_directories(zelo_${name} PUBLIC ${CMAKE_SOURCE_DIR}/src)
    list(TRANSFORM L_USES PREPEND zelo_)
    target_link_libraries(zelo_${name} PUBLIC ${L_USES} ${L_PUBLIC} PRIVATE ${L_PRIVATE} zelo_warnings)
    if(L_QUICK)
        target_compile_options(zelo_${name} PRIVATE ${ZELO_QUICK_FLAGS})
    endif()
    if(L_PCH)
        target_precompile_headers(zelo_${name} PRIVATE ${zelo_common_headers} ${L_PCH})
    elseif(L_QUICK)
        target_precompile_headers(zelo_${name} REUSE_FROM zelo_quick_pch)
    else()
        target_precompile_headers(zelo_${name} REUSE_FROM zelo_pch)
    endif()
    if(L_QT)
        # moc 6.4 cannot parse libstdc++'s <concepts>; it needs nothing from it.
        set_target_properties(zelo_${name} PROPERTIES AUTOMOC ON AUTOMOC_MOC_OPTIONS -D_GLIBCXX_CONCEPTS)
    endif()
endfunction()
