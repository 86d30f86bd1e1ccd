# SPDX-License-Identifier: GPL-3.0-or-later
# One folder under src/ is one target. Its headers are reached through a folder of links of its own,
# so a file can include a layer's headers only when its target links that layer. A layer may lie in another
# folder: desk/kit is the target mivanta_desk_kit.

function(mivanta_headers target layer)
    string(REPLACE "/" "_" links ${layer})
    cmake_path(GET layer PARENT_PATH around)
    file(MAKE_DIRECTORY ${CMAKE_BINARY_DIR}/layers/${links}/${around})
    file(CREATE_LINK ${CMAKE_SOURCE_DIR}/src/${layer} ${CMAKE_BINARY_DIR}/layers/${links}/${layer} SYMBOLIC)
    target_include_directories(${target} PUBLIC ${CMAKE_BINARY_DIR}/layers/${links})
endfunction()

# Headers of the standard library and of Qt are read once for all targets of a kind: they are most of the time that a
# file takes. Configured with -DMIVANTA_PRECOMPILE=OFF, every file shows whether it names what it uses.
option(MIVANTA_PRECOMPILE "Precompile the headers of Qt and the standard library" ON)
function(mivanta_precompile target) # [GUI] [WIDGETS] [TESTS] [BENCH]
    if(NOT MIVANTA_PRECOMPILE)
        return()
    endif()
    string(JOIN _ kind precompiled ${ARGN})
    get_property(owner GLOBAL PROPERTY mivanta_${kind})
    if(owner)
        target_precompile_headers(${target} REUSE_FROM ${owner})
        return()
    endif()
    set_property(GLOBAL PROPERTY mivanta_${kind} ${target})
    set(headers <algorithm> <functional> <map> <memory> <optional> <variant> <vector> <QDateTime> <QDir> <QFile>
        <QHash> <QJsonArray> <QJsonDocument> <QJsonObject> <QMap> <QObject> <QPointer> <QRegularExpression> <QSet>
        <QString> <QStringList> <QThread> <QTimer> <tl/expected.hpp>)
    if("GUI" IN_LIST ARGN OR "WIDGETS" IN_LIST ARGN)
        list(APPEND headers <QFont> <QGuiApplication> <QIcon> <QImage> <QPainter>)
    endif()
    if("WIDGETS" IN_LIST ARGN)
        list(APPEND headers <QApplication> <QBoxLayout> <QCheckBox> <QComboBox> <QGridLayout> <QKeyEvent> <QLabel>
             <QLineEdit> <QListView> <QMenu> <QMimeData> <QPushButton> <QScrollArea> <QStyledItemDelegate>
             <QToolButton> <QUndoStack> <QWidget>)
    endif()
    if("TESTS" IN_LIST ARGN)
        list(APPEND headers <QTemporaryDir> <gtest/gtest.h> <rapidcheck/gtest.h>)
    endif()
    target_precompile_headers(${target} PRIVATE ${headers})
endfunction()

# Sources of one folder are compiled together, several at a time: most of a file's time goes into what it includes.
# Names in their unnamed namespaces must differ within a folder. With -DMIVANTA_TOGETHER=1 every file is compiled by
# itself: quicker to change one, slower to build all.
set(MIVANTA_TOGETHER 24 CACHE STRING "How many sources of a folder are compiled together, at most")
function(mivanta_unity target)
    if(MIVANTA_TOGETHER LESS 2)
        return()
    endif()
    get_target_property(sources ${target} SOURCES)
    list(FILTER sources INCLUDE REGEX "\\.cpp$")
    list(SORT sources)
    set(folder "")
    foreach(source IN LISTS sources)
        cmake_path(GET source PARENT_PATH its_folder)
        if(NOT its_folder STREQUAL folder)
            set(folder ${its_folder})
            set(count 0)
            cmake_path(GET folder FILENAME group)
        endif()
        math(EXPR part "${count} / ${MIVANTA_TOGETHER}")
        math(EXPR count "${count} + 1")
        set_source_files_properties(${source} PROPERTIES UNITY_GROUP "${group}_${part}")
    endforeach()
    set_target_properties(${target} PROPERTIES UNITY_BUILD ON UNITY_BUILD_MODE GROUP)
endfunction()

# mivanta_layer(FOLDER [LIGHT] [PUBLIC libs...] [PRIVATE libs...]): a static library of every source in src/FOLDER.
# LIGHT: it waits for people, for files and for Qt; compiling it with less optimization takes two thirds of the time.
function(mivanta_layer layer)
    cmake_parse_arguments(ARG "LIGHT" "" "PUBLIC;PRIVATE" ${ARGN})
    string(REPLACE "/" "_" target mivanta_${layer})
    file(GLOB_RECURSE sources CONFIGURE_DEPENDS ${CMAKE_SOURCE_DIR}/src/${layer}/*.cpp
         ${CMAKE_SOURCE_DIR}/src/${layer}/*.h)
    list(FILTER sources EXCLUDE REGEX "/main\\.cpp$")
    add_library(${target} STATIC ${sources})
    set_target_properties(${target} PROPERTIES AUTOMOC ON)
    mivanta_headers(${target} ${layer})
    target_link_libraries(${target} PUBLIC ${ARG_PUBLIC} PRIVATE ${ARG_PRIVATE})
    set(kinds)
    if(layer MATCHES "^desk/")
        list(APPEND kinds WIDGETS)
    elseif("Qt6::Gui" IN_LIST ARG_PUBLIC OR "mivanta_render" IN_LIST ARG_PUBLIC)
        list(APPEND kinds GUI)
    endif()
    mivanta_precompile(${target} ${kinds})
    mivanta_unity(${target})
    if(ARG_LIGHT)
        target_compile_options(${target} PRIVATE $<$<CONFIG:Release>:-O1>)
    endif()
endfunction()

# mivanta_program(FOLDER EXECUTABLE LAYERS...): src/FOLDER/main.cpp on top of those layers.
function(mivanta_program folder executable)
    add_executable(${executable} ${CMAKE_SOURCE_DIR}/src/${folder}/main.cpp)
    target_link_libraries(${executable} PRIVATE ${ARGN})
endfunction()

# mivanta_languages(TARGET): every data/languages/*.ts, ready to be used, among the target's resources.
function(mivanta_languages target)
    find_program(MIVANTA_LRELEASE lrelease HINTS ${QT6_INSTALL_PREFIX}/${QT6_INSTALL_BINS} /usr/lib/qt6/bin REQUIRED)
    set(folder ${CMAKE_BINARY_DIR}/languages)
    file(MAKE_DIRECTORY ${folder})
    file(GLOB texts CONFIGURE_DEPENDS ${CMAKE_SOURCE_DIR}/data/languages/*.ts)
    set(ready)
    foreach(text IN LISTS texts)
        cmake_path(GET text STEM name)
        add_custom_command(OUTPUT ${folder}/${name}.qm DEPENDS ${text}
                           COMMAND ${MIVANTA_LRELEASE} -silent ${text} -qm ${folder}/${name}.qm)
        list(APPEND ready ${folder}/${name}.qm)
    endforeach()
    qt_add_resources(${target} "languages" PREFIX "/mivanta/languages" BASE ${folder} FILES ${ready})
endfunction()
